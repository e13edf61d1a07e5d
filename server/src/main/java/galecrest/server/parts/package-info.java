/** Part lines. */
@NullMarked
package galecrest.server.parts;

import org.jspecify.annotations.NullMarked;
