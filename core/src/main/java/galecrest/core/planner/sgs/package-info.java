/**
 * Serial schedule generation (Kelley, 1963): a list of activities becomes a schedule, each at the earliest place that breaks
 * no rule; the rules of zones, cars, stations, people and curing are kept here. Begin with
 * {@link galecrest.core.planner.sgs.SerialScheduler}; what is taken is kept in
 * {@link galecrest.core.planner.sgs.ResourceState}.
 */
@NullMarked
package galecrest.core.planner.sgs;

import org.jspecify.annotations.NullMarked;
