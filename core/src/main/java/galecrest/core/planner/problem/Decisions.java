package galecrest.core.planner.problem;

import galecrest.core.plan.WarmStart;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.work.LinkId;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What a schedule chooses besides its order, as one array: for each at-risk link whether work may start ahead of it,
 * then for each node whether it keeps to the start that people were told, though it could be earlier, then for each node
 * whether the last instead of the first of equally good crews does it.
 */
public final class Decisions {
    private Decisions() {}

    /** No start at risk, nothing kept. */
    public static boolean[] none(SchedulingProblem problem) {
        return new boolean[problem.network.risks + 2 * problem.size];
    }

    /** All at-risk links used, or none; all nodes keeping to what was told, or those of some builds let go, or none. */
    public static boolean[] of(SchedulingProblem problem, boolean atRisk, boolean keep, Set<Integer> letGo) {
        boolean[] choices = none(problem);
        Arrays.fill(choices, 0, problem.network.risks, atRisk);
        for (int node = 0; node < problem.size; node++) {
            choices[problem.network.risks + node] =
                    keep && problem.told[node] >= 0 && !letGo.contains(problem.activities[node].build());
        }
        return choices;
    }

    /** The decisions that a warm start was made with. */
    public static boolean[] of(SchedulingProblem problem, WarmStart guide) {
        boolean[] choices = none(problem);
        Set<LinkId> early = new HashSet<>(guide.early());
        for (ActivityNetwork.Arc[] arcs : problem.before) {
            for (ActivityNetwork.Arc arc : arcs) {
                if (arc.risk() >= 0) {
                    choices[arc.risk()] = early.contains(arc.link().orElseThrow());
                }
            }
        }
        Set<WorkId> kept = new HashSet<>(guide.kept());
        Set<WorkId> others = new HashSet<>(guide.others());
        for (int node = 0; node < problem.size; node++) {
            WorkId work = problem.network.works.get(node).id();
            choices[problem.network.risks + node] = problem.told[node] >= 0 && kept.contains(work);
            choices[problem.network.risks + problem.size + node] = others.contains(work);
        }
        return choices;
    }

    /** What a later plan may begin from. */
    public static WarmStart guide(SchedulingProblem problem, int[] order, boolean[] choices) {
        List<LinkId> early = new ArrayList<>();
        for (ActivityNetwork.Arc[] arcs : problem.before) {
            for (ActivityNetwork.Arc arc : arcs) {
                if (arc.risk() >= 0 && choices[arc.risk()]) {
                    early.add(arc.link().orElseThrow());
                }
            }
        }
        List<WorkId> kept = new ArrayList<>();
        List<WorkId> others = new ArrayList<>();
        for (int node = 0; node < problem.size; node++) {
            if (keeps(problem, choices, node)) {
                kept.add(problem.network.works.get(node).id());
            }
            if (byOthers(problem, choices, node)) {
                others.add(problem.network.works.get(node).id());
            }
        }
        return new WarmStart(
                Arrays.stream(order)
                        .mapToObj(n -> problem.network.works.get(n).id())
                        .toList(),
                early,
                kept,
                others);
    }

    /** Whether of equally good modes the last is taken, whatever people were told, so that the first is spared. */
    public static boolean byOthers(SchedulingProblem problem, boolean[] choices, int node) {
        return choices[problem.network.risks + problem.size + node];
    }

    /** Whether the node stays with what people were told. */
    public static boolean keeps(SchedulingProblem problem, boolean[] choices, int node) {
        return choices[problem.network.risks + node];
    }
}
