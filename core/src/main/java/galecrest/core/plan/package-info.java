/**
 * What goes into a plan and what comes out: the snapshot of a shop, checked by {@link galecrest.core.plan.SnapshotValidator},
 * and the plan that explains itself. It knows nothing of how a plan is made. Begin with
 * {@link galecrest.core.plan.ShopSnapshot} and {@link galecrest.core.plan.Plan}.
 */
@NullMarked
package galecrest.core.plan;

import org.jspecify.annotations.NullMarked;
