/** What disturbs what in this house, and what each piece of work disturbs. Begin with {@code StaleGraphService}. */
@NullMarked
package galecrest.server.stale;

import org.jspecify.annotations.NullMarked;
