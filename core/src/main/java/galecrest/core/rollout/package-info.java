/** How a car comes to life, step by step: limits, checks, two names. Begin with {@link galecrest.core.rollout.RollOut}. */
@NullMarked
package galecrest.core.rollout;

import org.jspecify.annotations.NullMarked;
