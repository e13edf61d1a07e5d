package galecrest.core.plan;

import galecrest.core.build.LinkId;
import galecrest.core.build.WorkId;
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
final class Choices {
    private Choices() {}

    static boolean[] none(Model model) {
        return new boolean[model.network.risks + 2 * model.size];
    }

    /** All at-risk links used, or none; all nodes keeping to what was told, or those of some builds let go, or none. */
    static boolean[] of(Model model, boolean atRisk, boolean keep, Set<Integer> letGo) {
        boolean[] choices = none(model);
        Arrays.fill(choices, 0, model.network.risks, atRisk);
        for (int node = 0; node < model.size; node++) {
            choices[model.network.risks + node] =
                    keep && model.told[node] >= 0 && !letGo.contains(model.tasks[node].build());
        }
        return choices;
    }

    static boolean[] of(Model model, Guide guide) {
        boolean[] choices = none(model);
        Set<LinkId> early = new HashSet<>(guide.early());
        for (Network.Arc[] arcs : model.before) {
            for (Network.Arc arc : arcs) {
                if (arc.risk() >= 0) {
                    choices[arc.risk()] = early.contains(arc.link().orElseThrow());
                }
            }
        }
        Set<WorkId> kept = new HashSet<>(guide.kept());
        Set<WorkId> others = new HashSet<>(guide.others());
        for (int node = 0; node < model.size; node++) {
            WorkId work = model.network.works.get(node).id();
            choices[model.network.risks + node] = model.told[node] >= 0 && kept.contains(work);
            choices[model.network.risks + model.size + node] = others.contains(work);
        }
        return choices;
    }

    static Guide guide(Model model, int[] order, boolean[] choices) {
        List<LinkId> early = new ArrayList<>();
        for (Network.Arc[] arcs : model.before) {
            for (Network.Arc arc : arcs) {
                if (arc.risk() >= 0 && choices[arc.risk()]) {
                    early.add(arc.link().orElseThrow());
                }
            }
        }
        List<WorkId> kept = new ArrayList<>();
        List<WorkId> others = new ArrayList<>();
        for (int node = 0; node < model.size; node++) {
            if (keeps(model, choices, node)) {
                kept.add(model.network.works.get(node).id());
            }
            if (byOthers(model, choices, node)) {
                others.add(model.network.works.get(node).id());
            }
        }
        return new Guide(
                Arrays.stream(order)
                        .mapToObj(n -> model.network.works.get(n).id())
                        .toList(),
                early,
                kept,
                others);
    }

    static boolean byOthers(Model model, boolean[] choices, int node) {
        return choices[model.network.risks + model.size + node];
    }

    static boolean keeps(Model model, boolean[] choices, int node) {
        return choices[model.network.risks + node];
    }
}
