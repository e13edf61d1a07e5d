/** The screen in the workshop: read-only, by a link that can be revoked. Begin with {@code WallService}. */
@NullMarked
package galecrest.server.wall;

import org.jspecify.annotations.NullMarked;
