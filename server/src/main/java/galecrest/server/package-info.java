/** The server. */
@NullMarked
package galecrest.server;

import org.jspecify.annotations.NullMarked;
