/** What people have been told, for other programs: calendar feeds by private link, the plan as CSV. */
@NullMarked
package galecrest.server.told;

import org.jspecify.annotations.NullMarked;
