/** Instruments joined by the line protocol, real or simulated, and what they say now. Begin with {@code DeviceService}. */
@NullMarked
package galecrest.server.device;

import org.jspecify.annotations.NullMarked;
