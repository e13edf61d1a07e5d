/** News of changes to every open screen. */
@NullMarked
package galecrest.server.live;

import org.jspecify.annotations.NullMarked;
