/**
 * Time as numbers: slots of five minutes since midnight of the first day, and the stretches of slots in which a person, a
 * station, a vendor or the shop works. Begin with {@link galecrest.core.planner.calendar.TimeGrid}.
 */
@NullMarked
package galecrest.core.planner.calendar;

import org.jspecify.annotations.NullMarked;
