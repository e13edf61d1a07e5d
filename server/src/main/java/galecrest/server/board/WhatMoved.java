package galecrest.server.board;

import galecrest.core.build.BuildId;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The draft against what people were told, in words.
 *
 * @param byPerson by who must be told
 * @param byCar the same by car
 */
public record WhatMoved(List<Moves> byPerson, List<Moves> byCar) {
    /** What moved for one person or one car, a line a piece of work. */
    public record Moves(String name, List<String> said) {}

    static WhatMoved of(ShopSnapshot shop, PlanDifference difference) {
        Map<WorkId, BuildId> builds = shop.works().stream().collect(Collectors.toMap(Work::id, Work::build));
        ReasonText words = new ReasonText(shop);
        return new WhatMoved(
                shop.people().stream()
                        .map(p -> moves(
                                p.name(), difference, words, m -> m.concerns().contains(p.id())))
                        .filter(m -> !m.said().isEmpty())
                        .toList(),
                shop.builds().stream()
                        .map(b -> moves(b.called(), difference, words, m -> b.id().equals(builds.get(m.work()))))
                        .filter(m -> !m.said().isEmpty())
                        .toList());
    }

    private static Moves moves(
            String name, PlanDifference difference, ReasonText words, Predicate<PlanDifference.Moved> wanted) {
        return new Moves(
                name,
                difference.moved().stream().filter(wanted).map(words::moved).toList());
    }
}
