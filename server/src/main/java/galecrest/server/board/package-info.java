/** What the screens draw. */
@NullMarked
package galecrest.server.board;

import org.jspecify.annotations.NullMarked;
