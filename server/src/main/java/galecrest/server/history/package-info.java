/** Builds that are finished and put away, and how they are found again. */
@NullMarked
package galecrest.server.history;

import org.jspecify.annotations.NullMarked;
