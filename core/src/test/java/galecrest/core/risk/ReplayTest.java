package galecrest.core.risk;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.EditedShops;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.shop.HouseRules;
import galecrest.core.time.Minutes;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/**
 * What is replayed is the plan that is shown, also after edits of what people were told. The shops have a published plan and
 * a few edits after it, as a shop has on any day.
 */
public class ReplayTest {
    private static final RiskOptions.Draw LIKELY = (u, low, likely, high) -> likely;
    /** No sampling error is larger in one of ten thousand cases. */
    private static final double RARELY = 4;

    /** The same shop in which nothing goes wrong by chance: only how long things take is uncertain. */
    public static ShopSnapshot withoutMishaps(ShopSnapshot shop) {
        HouseRules r = shop.rules();
        ShopSnapshot calm = shop.withLinks(shop.links().stream()
                        .map(l -> new Link(
                                l.id(),
                                l.first(),
                                l.then(),
                                l.type(),
                                l.lag(),
                                l.risk().map(risk -> new Link.Risk(0, risk.rework()))))
                        .toList())
                .withWorks(shop.works().stream()
                        .map(w -> w instanceof Job job ? (Work) job.withFindings(new Findings(0, Minutes.of(0))) : w)
                        .toList());
        return calm.withRules(new HouseRules(
                r.atRiskStart(),
                r.toldOtherwise(),
                r.carInBits(),
                r.finishDay(),
                r.unknownArrival(),
                r.frozenDays(),
                r.buffer(),
                r.tieBreak(),
                0,
                r.stayOn()));
    }

    private static Plan plan(ShopSnapshot shop) {
        return Planner.plan(shop, PlanOptions.interactive(shop).withSteps(20));
    }

    private static Map<WorkId, Plan.Placed> byWork(Plan plan) {
        return plan.byWork();
    }

    @Property(tries = 160)
    void atThePlannedValuesTheReplayIsThePlanStartByStart(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = EditedShops.shop(seed);
        Plan plan = plan(shop);
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        Replay replay = new Replay(problem, plan);
        SerialScheduler schedule = Replay.schedule(replay.policy);
        schedule.generate(replay.order, replay.choices);
        Map<WorkId, Plan.Placed> placed = byWork(plan);
        for (int node = 0; node < problem.size; node++) {
            Work work = problem.network.works.get(node);
            Plan.Placed where = placed.get(work.id());
            assertThat(schedule.planned(node)).isEqualTo(where != null);
            if (where != null) {
                assertThat(problem.grid.instant(schedule.start[node]))
                        .as("start of %s", work)
                        .isEqualTo(where.start());
                assertThat(problem.grid.instant(schedule.ready[node]))
                        .as("%s is ready", work.id())
                        .isEqualTo(where.ready());
            }
        }
    }

    /** The same through the odds: with everything as likely as it is planned, all trials finish when the plan does. */
    @Property(tries = 80)
    void atTheLikelyValuesEveryTrialFinishesWithThePlan(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = withoutMishaps(EditedShops.shop(seed));
        Plan plan = plan(shop);
        RiskProfile chance = MonteCarlo.of(shop, plan, new RiskOptions(3, 1, 1, LIKELY), d -> true)
                .orElseThrow();
        for (int c = 0; c < plan.outlooks().size(); c++) {
            assertThat(chance.odds().get(c).p50())
                    .as(plan.outlooks().get(c).commitment().value())
                    .isEqualTo(plan.outlooks().get(c).finish());
        }
    }

    /** Where everything takes its likely time or less, hardly a trial finishes later than the plan, and none by much. */
    @Property(tries = 80)
    void noTrialIsLateWithoutSomethingThatTakesLonger(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = withoutMishaps(EditedShops.shop(seed));
        Plan plan = plan(shop);
        RiskOptions early = new RiskOptions(
                40, seed, 1, (u, low, likely, high) -> Math.min(likely, BetaPert.quantile(u, low, likely, high)));
        RiskProfile chance = MonteCarlo.of(shop, plan, early, d -> true).orElseThrow();
        for (int c = 0; c < plan.outlooks().size(); c++) {
            Optional<Instant> first = chance.odds().get(c).spread().stream().findFirst();
            Optional<Instant> planned = plan.outlooks().get(c).finish();
            assertThat(first.isPresent()).isEqualTo(planned.isPresent());
            first.ifPresent(f -> assertThat(f).isBeforeOrEqualTo(planned.orElseThrow()));
        }
    }

    /** An edit that leaves the plan of what a date needs as it was leaves its odds: here one that pins what is so already. */
    @Property(tries = 40)
    void anEditThatChangesNothingLeavesTheOdds(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = EditedShops.shop(seed);
        Plan plan = plan(shop);
        if (plan.placed().isEmpty()) {
            return;
        }
        RiskProfile before =
                MonteCarlo.of(shop, plan, RiskOptions.of(400, 5, 1), d -> true).orElseThrow();
        ShopSnapshot told = shop.withPublished(plan);
        RiskProfile published =
                MonteCarlo.of(told, plan, RiskOptions.of(400, 5, 1), d -> true).orElseThrow();
        assertThat(published.odds()).isEqualTo(before.odds());
        Plan again = plan(told);
        RiskProfile after =
                MonteCarlo.of(told, again, RiskOptions.of(400, 5, 1), d -> true).orElseThrow();
        Map<String, RiskProfile.Odds> odds = new HashMap<>();
        before.odds().forEach(o -> odds.put(o.commitment().value(), o));
        boolean same =
                again.placed().stream().allMatch(p -> sameAs(p, byWork(plan).get(p.work())));
        for (RiskProfile.Odds o : after.odds()) {
            RiskProfile.Odds was = odds.get(o.commitment().value());
            if (same) {
                assertThat(o.chance()).isCloseTo(was.chance(), org.assertj.core.api.Assertions.within(RARELY * 0.025));
            }
        }
    }

    private static boolean sameAs(Plan.Placed a, Plan.Placed b) {
        return b != null && a.start().equals(b.start()) && a.crew().equals(b.crew());
    }
}
