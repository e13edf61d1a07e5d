/** Changes, their record and their undoing. */
@NullMarked
package galecrest.server.journal;

import org.jspecify.annotations.NullMarked;
