/**
 * Activities and what comes before what, as arrays; the dates before which nothing starts; how long the critical path behind
 * an activity is; lower bounds. Begin with {@link galecrest.core.planner.network.ActivityNetwork}.
 */
@NullMarked
package galecrest.core.planner.network;

import org.jspecify.annotations.NullMarked;
