/**
 * What is told besides the plan: when parts are needed, what a late thing harms, who can do what now, how the cars stand,
 * where hands are short. Begin with {@link galecrest.core.insight.DispatchList} or
 * {@link galecrest.core.insight.LatestDates}.
 */
@NullMarked
package galecrest.core.insight;

import org.jspecify.annotations.NullMarked;
