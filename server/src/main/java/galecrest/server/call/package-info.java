/** Calls: those that are promised, those that come in, and what was said. */
@NullMarked
package galecrest.server.call;

import org.jspecify.annotations.NullMarked;
