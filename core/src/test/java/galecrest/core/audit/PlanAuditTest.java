package galecrest.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Planner;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Span;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** An audit that finds nothing must be able to find something: tampered plans are caught. */
class PlanAuditTest {
    private static Plan.Placed moved(Plan.Placed p, Duration by) {
        return new Plan.Placed(
                p.work(),
                p.start().plus(by),
                p.end().plus(by),
                p.ready().plus(by),
                p.at().stream()
                        .map(s -> new Span(s.from().plus(by), s.to().plus(by)))
                        .toList(),
                p.crew(),
                p.station(),
                p.slotMissed(),
                p.because());
    }

    /** How often tampering with one placement is noticed, by rule. */
    private static Map<String, Integer> caught(UnaryOperator<Plan.Placed> tamper) {
        Map<String, Integer> rules = new HashMap<>();
        for (long seed = 0; seed < 60; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 25);
            Plan plan = Planner.plan(shop, PlanOptions.once());
            for (int i = 0; i < plan.placed().size(); i++) {
                List<Plan.Placed> placed = new ArrayList<>(plan.placed());
                placed.set(i, tamper.apply(placed.get(i)));
                PlanAudit.violations(shop, plan.withPlaced(placed)).stream()
                        .map(Violation::rule)
                        .distinct()
                        .forEach(rule -> rules.merge(rule, 1, Integer::sum));
            }
        }
        return rules;
    }

    @Test
    void workMovedEarlierBreaksManyRules() {
        assertThat(caught(p -> moved(p, Duration.ofMinutes(-65))).keySet())
                .contains(
                        "now",
                        "shifts",
                        "link",
                        "one job at a time",
                        "station",
                        "zone",
                        "cure",
                        "part",
                        "hold",
                        "not before",
                        "pin",
                        "car away",
                        "whole car",
                        "outwork",
                        "outlook");
    }

    @Test
    void anotherCrewIsCaught() {
        assertThat(caught(p -> new Plan.Placed(
                                p.work(),
                                p.start(),
                                p.end(),
                                p.ready(),
                                p.at(),
                                List.of(new PersonId("p0"), new PersonId("p0")),
                                p.station(),
                                p.slotMissed(),
                                p.because()))
                        .keySet())
                .contains("crew", "running-in", "outwork");
    }

    @Test
    void workLeftOutOrTwiceIsCaught() {
        ShopSnapshot shop = RandomShops.shop(4, 25);
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        List<Plan.Placed> fewer = plan.placed().subList(1, plan.placed().size());
        List<Plan.Placed> more = new ArrayList<>(plan.placed());
        more.add(plan.placed().get(0));
        assertThat(PlanAudit.violations(shop, plan.withPlaced(fewer)))
                .extracting(Violation::rule)
                .contains("complete");
        assertThat(PlanAudit.violations(shop, plan.withPlaced(more)))
                .extracting(Violation::rule)
                .contains("complete");
    }
}
