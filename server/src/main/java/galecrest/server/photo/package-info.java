/** Photos of cars and parts. */
@NullMarked
package galecrest.server.photo;

import org.jspecify.annotations.NullMarked;
