/**
 * Work as people write it down: a line said on the walk, a sheet of jobs as CSV. Begin with
 * {@link galecrest.core.sheet.JobSheet}.
 */
@NullMarked
package galecrest.core.sheet;

import org.jspecify.annotations.NullMarked;
