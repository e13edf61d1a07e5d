/** Rehearsing a week: played turn by turn on a copy that cannot touch the record. */
@NullMarked
package galecrest.server.rehearse;

import org.jspecify.annotations.NullMarked;
