/** Sheets that are looked through line by line: torque, the limits of a class, and what is noted by hand. Begin with {@code TorqueSheetGauge}. */
@org.jspecify.annotations.NullMarked
package galecrest.core.gauge.check;
