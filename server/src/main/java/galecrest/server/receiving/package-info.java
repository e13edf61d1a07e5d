/** Deliveries looked over, and parts fitted. */
@NullMarked
package galecrest.server.receiving;

import org.jspecify.annotations.NullMarked;
