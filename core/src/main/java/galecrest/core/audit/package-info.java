/**
 * An independent check of plans: it reads the snapshot and the plan and derives every rule for itself, sharing no code with
 * the planner. Begin with {@link galecrest.core.audit.PlanAudit}.
 */
@NullMarked
package galecrest.core.audit;

import org.jspecify.annotations.NullMarked;
