/** The line said on the walk: what is understood of it, and what becomes of it. */
@NullMarked
package galecrest.server.capture;

import org.jspecify.annotations.NullMarked;
