/** What every gauge has in common: what it is asked, and what it answers. */
@NullMarked
package galecrest.core.gauge;

import org.jspecify.annotations.NullMarked;
