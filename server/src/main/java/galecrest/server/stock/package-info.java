/** The supply run and the shelf. */
@NullMarked
package galecrest.server.stock;

import org.jspecify.annotations.NullMarked;
