/** Snapshots of the shop, out and in. */
@NullMarked
package galecrest.server.exchange;

import org.jspecify.annotations.NullMarked;
