/** What must be decided about a car, what could be chosen, and what was. */
@NullMarked
package galecrest.server.decision;

import org.jspecify.annotations.NullMarked;
