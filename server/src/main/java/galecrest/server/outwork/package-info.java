/** Outside firms. */
@NullMarked
package galecrest.server.outwork;

import org.jspecify.annotations.NullMarked;
