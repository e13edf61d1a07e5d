/** The rolling road: runs read from files, tested for what is mistaken in them, compared, and looked through for limits. */
@NullMarked
package galecrest.core.dyno;

import org.jspecify.annotations.NullMarked;
