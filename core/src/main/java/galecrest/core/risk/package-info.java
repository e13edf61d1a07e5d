/**
 * How sure a plan is: what is uncertain is drawn, and the plan replayed in its order, many times; rework of starts at risk
 * and jobs that overrun a day are part of the replay. Begin with {@link galecrest.core.risk.MonteCarlo}.
 */
@NullMarked
package galecrest.core.risk;

import org.jspecify.annotations.NullMarked;
