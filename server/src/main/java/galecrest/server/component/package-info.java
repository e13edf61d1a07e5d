/** Components with their lives, and the uses of cars that wear them. Begin with {@code ComponentService}. */
@NullMarked
package galecrest.server.component;

import org.jspecify.annotations.NullMarked;
