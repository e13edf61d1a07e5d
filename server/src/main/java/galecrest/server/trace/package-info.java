/** Logged traces as tables. */
@NullMarked
package galecrest.server.trace;

import org.jspecify.annotations.NullMarked;
