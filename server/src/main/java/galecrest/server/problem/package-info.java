/** What can go wrong, and how it is said. */
@NullMarked
package galecrest.server.problem;

import org.jspecify.annotations.NullMarked;
