/** A hand's day. */
@NullMarked
package galecrest.server.myday;

import org.jspecify.annotations.NullMarked;
