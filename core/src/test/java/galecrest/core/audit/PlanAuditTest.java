package galecrest.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** An audit that finds nothing must be able to find something: tampered plans are caught. */
class PlanAuditTest {
    private static final Duration SLOT = Duration.ofMinutes(5);

    static Plan.Placed moved(Plan.Placed p, Duration by) {
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

    private static Plan.Placed with(Plan.Placed p, Instant start, Instant end, Instant ready, List<Span> at) {
        return new Plan.Placed(p.work(), start, end, ready, at, p.crew(), p.station(), p.slotMissed(), p.because());
    }

    private static Plan.Placed at(Plan.Placed p, Optional<StationId> station) {
        return new Plan.Placed(
                p.work(), p.start(), p.end(), p.ready(), p.at(), p.crew(), station, p.slotMissed(), p.because());
    }

    /** Splits the first stretch in two with a pause of a slot in it. */
    private static Plan.Placed paused(Plan.Placed p) {
        if (p.at().isEmpty()
                || Duration.between(p.at().get(0).from(), p.at().get(0).to()).toMinutes() < 15) {
            return p;
        }
        Span first = p.at().get(0);
        List<Span> at = new ArrayList<>();
        at.add(new Span(first.from(), first.from().plus(SLOT)));
        at.add(new Span(first.from().plus(SLOT).plus(SLOT), first.to()));
        at.addAll(p.at().subList(1, p.at().size()));
        return with(p, p.start(), p.end(), p.ready(), at);
    }

    static Stream<Arguments> tampering() {
        return Stream.of(
                tampered("off the grid", p -> moved(p, Duration.ofMinutes(2)), "grid"),
                tampered("ended before it starts", p -> with(p, p.end(), p.start(), p.ready(), p.at()), "order"),
                tampered("ready before its end", p -> with(p, p.start(), p.end(), p.start(), p.at()), "order"),
                tampered("with a pause", PlanAuditTest::paused, "work", "one go"),
                tampered(
                        "begun before anybody works at it",
                        p -> with(p, p.start().minus(SLOT), p.end(), p.ready(), p.at()),
                        "work"),
                tampered(
                        "ready later",
                        p -> with(p, p.start(), p.end(), p.ready().plus(SLOT), p.at()),
                        "cure"),
                tampered("at no station", p -> at(p, Optional.empty()), "station"),
                tampered("at another station", p -> at(p, other(p)), "station", "outwork", "complete"),
                tampered(
                        "with a stretch less",
                        p -> with(p, p.start(), p.end(), p.ready(), p.at().subList(0, p.at().size() / 2)),
                        "work",
                        "running-in"));
    }

    private static Arguments tampered(String how, UnaryOperator<Plan.Placed> tamper, String... rules) {
        return Arguments.of(how, tamper, List.of(rules));
    }

    private static Optional<StationId> other(Plan.Placed p) {
        return Optional.of(
                new StationId(p.station().map(StationId::value).orElse("").equals("s0") ? "s1" : "s0"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("tampering")
    void tamperingIsCaughtByItsRule(String how, UnaryOperator<Plan.Placed> tamper, List<String> rules) {
        assertThat(caught(tamper).keySet()).containsAll(rules);
    }

    @Test
    void aDateThatIsSaidOtherwiseIsCaught() {
        ShopSnapshot shop = RandomShops.shop(4, 25);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        assertThat(plan.outlooks()).isNotEmpty();
        Plan.Outlook first = plan.outlooks().get(0);
        Minutes more = Minutes.of(first.margin().map(Minutes::value).orElse(0L) + 5);
        List<Plan.Outlook> better = new ArrayList<>(plan.outlooks());
        better.set(
                0,
                new Plan.Outlook(
                        first.commitment(), first.finish(), Optional.of(more), first.chain(), first.missing()));
        assertThat(rules(shop, said(plan, plan.unplanned(), better))).containsExactly("outlook");
        assertThat(rules(shop, said(plan, plan.unplanned(), List.of()))).containsOnly("outlook");
    }

    @Test
    void workThatIsWronglySaidNotToBePlannedIsCaught() {
        ShopSnapshot shop = RandomShops.shop(4, 25);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        for (Plan.Unplanned wrong : List.of(
                new Plan.Unplanned(plan.placed().get(0).work(), "no room"),
                new Plan.Unplanned(new WorkId("no such work"), "no room"))) {
            List<Plan.Unplanned> more = new ArrayList<>(plan.unplanned());
            more.add(wrong);
            assertThat(rules(shop, said(plan, more, plan.outlooks()))).contains("complete");
        }
    }

    private static List<String> rules(ShopSnapshot shop, Plan plan) {
        return PlanAudit.violations(shop, plan).stream().map(Violation::rule).toList();
    }

    private static Plan said(Plan plan, List<Plan.Unplanned> unplanned, List<Plan.Outlook> outlooks) {
        return new Plan(
                plan.madeFor(),
                plan.placed(),
                unplanned,
                plan.brokenPins(),
                plan.startedAtRisk(),
                plan.thawed(),
                outlooks,
                plan.score());
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
