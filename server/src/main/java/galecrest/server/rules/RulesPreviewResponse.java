package galecrest.server.rules;

import galecrest.server.plan.DateEffect;
import java.util.List;

/**
 * What other house rules would do.
 *
 * @param movedAtOnce jobs that the present plan would have to move
 * @param moved jobs that go elsewhere once the plan is thought through anew, against the same thinking with the rules as
 *     they are
 * @param effects dates that are another then
 */
record RulesPreviewResponse(int movedAtOnce, int moved, List<DateEffect> effects) {}
