/** Work as people write it down: the line said on the walk, job sheets as CSV, templates for a new build. */
@NullMarked
package galecrest.server.sheet;

import org.jspecify.annotations.NullMarked;
