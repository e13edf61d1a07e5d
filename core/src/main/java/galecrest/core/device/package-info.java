/**
 * Instruments that say their readings by the line protocol of {@code docs/devices.md}: scale pads, a weather station, a data
 * logger. Begin with {@code DeviceLine}; the simulated ones that ship with the product are in {@code standin}.
 */
@NullMarked
package galecrest.core.device;

import org.jspecify.annotations.NullMarked;
