package galecrest.core.planner.repair;

import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.people.Level;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Where something slips and no date is in danger, only what hangs on it is told otherwise. */
class RepairTest {
    private static final WorkId DRIVES = new WorkId("drives");

    private static Shops twoCars(int arrivesOnDay) {
        Shops shops = shop().person("ada", "fit");
        shops.part("flange", shops.instant(arrivesOnDay, 8, 0), 0)
                .job("exhaust", "first", 240, "fit", needs("flange"))
                .job("load", "first", 120, "fit")
                .after("exhaust", "load")
                .job("brakes", "second", 480, "fit")
                .job("bleed", "second", 240, "fit")
                .after("brakes", "bleed")
                .due("first done", "first", shops.instant(25, 16, 0))
                .due("second done", "second", shops.instant(25, 16, 0));
        return shops;
    }

    @Test
    void theOtherCarStaysWhereItWasTold() {
        ShopSnapshot before = twoCars(1).snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        ShopSnapshot after = twoCars(5).snapshot().withPublished(told);
        Plan mended = Planner.plan(after, PlanOptions.interactive(after));
        List<String> moved = PlanDifference.between(told, mended).moved().stream()
                .map(PlanDifference.Moved::work)
                .map(WorkId::value)
                .sorted()
                .toList();
        assertThat(moved).containsExactly("exhaust", "load");
    }

    /** So do drives of another, though what comes before them in the order has just lost its place to a pin. */
    @Test
    void soDoDrivesThatComeNext() {
        Shops shops = shop().person("ada", "fit").person("bo", "drive");
        shops.job("brakes", "second", 480, "fit")
                .job("wash", "first", 60, "fit")
                .due("second done", "second", shops.instant(0, 16, 0));
        ShopSnapshot before = withDrives(shops);
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        assertThat(told.byWork().get(new WorkId("brakes")).start()).isEqualTo(shops.instant(0, 8, 0));
        shops.pin(new Pin.Exactly(new PinId("pin"), new WorkId("wash"), shops.instant(0, 14, 0)));
        ShopSnapshot after = withDrives(shops).withPublished(told);
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(after, new TimeGrid(after.now(), after.zone(), PlanOptions.HORIZON)));
        Evaluator evaluator = new Evaluator(problem);
        new RepairAttempt(problem, evaluator, told, Set.of(), 1);
        int drives = IntStream.range(0, problem.size)
                .filter(node -> problem.network.works.get(node).id().equals(DRIVES))
                .findFirst()
                .orElseThrow();
        assertThat(problem.grid.instant(evaluator.schedule.start[drives]))
                .isEqualTo(told.byWork().get(DRIVES).start());
    }

    private static ShopSnapshot withDrives(Shops shops) {
        ShopSnapshot shop = shops.snapshot();
        List<Work> works = new ArrayList<>(shop.works());
        works.add(new RunningIn(
                DRIVES,
                new BuildId("first"),
                "Run in",
                300,
                0,
                150,
                Minutes.of(90),
                new CrewPlace("drive", Level.ABLE),
                true,
                Gate.TEST,
                true,
                Status.TODO,
                Optional.of(shops.instant(0, 9, 0)),
                Optional.empty(),
                Optional.empty()));
        return shop.withWorks(works);
    }

    /** The same by the order alone: what cannot stay, and what follows it, comes after all that can. */
    @Test
    void whatCannotStayComesAfterWhatCan() {
        ShopSnapshot before = twoCars(1).snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        ShopSnapshot after = twoCars(5).snapshot().withPublished(told);
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(after, new TimeGrid(after.now(), after.zone(), PlanOptions.HORIZON)));
        int[] order =
                ActivityList.by(problem, new StandingOrder(problem, new CriticalPath(problem.network), told).keys());
        List<String> names = java.util.Arrays.stream(order)
                .mapToObj(node -> problem.network.works.get(node).id().value())
                .toList();
        assertThat(names).containsExactly("brakes", "bleed", "exhaust", "load");
    }

    /** Where nothing has changed nothing moves; only a booked slot that can be met after all is taken. */
    @Test
    void whatNeedNotMoveStays() {
        for (int seed = 0; seed < 150; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 20);
            Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
            if (plan.placed().stream().noneMatch(Plan.Placed::slotMissed)) {
                ShopSnapshot told = shop.withPublished(plan);
                assertThat(PlanDifference.between(plan, Planner.plan(told, PlanOptions.interactive(told)))
                                .moved())
                        .as("seed %d", seed)
                        .isEmpty();
            }
        }
    }

    /** Three hours later by the clock nothing moves either but what was to be done in them and was not begun. */
    @Test
    void theClockMovesOnlyWhatItHasOvertaken() {
        ShopSnapshot shop = twoCars(1).snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        Plan.Placed first = plan.placed().get(0);
        ShopSnapshot later = shop.withPublished(plan).at(first.start().plus(Duration.ofMinutes(5)));
        Plan mended = Planner.plan(later, PlanOptions.interactive(later));
        assertThat(mended.byWork().get(first.work()).start()).isEqualTo(later.now());
        assertThat(mended.byWork().get(first.work()).crew()).isEqualTo(first.crew());
    }

    /** One hand, three cars in a row, two of them with days in hand. */
    private static Shops row(int firstMinutes) {
        Shops shops = shop().person("ada", "fit");
        shops.job("a", "one", firstMinutes, "fit")
                .job("b", "two", 240, "fit")
                .job("c", "three", 240, "fit")
                .due("one done", "one", shops.instant(20, 16, 0))
                .due("two done", "two", shops.instant(20, 16, 0))
                .due("three done", "three", shops.instant(20, 16, 0));
        return shops;
    }

    /** What takes longer and runs into the next job makes that one wait, and not all that comes after it. */
    @Test
    void whatIsPushedTakesTheRoomThatIsLeft() {
        ShopSnapshot before = row(240).snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        List<WorkId> inOrder = told.placed().stream().map(Plan.Placed::work).toList();
        ShopSnapshot after = row(400).snapshot().withPublished(told);
        Plan mended = Planner.plan(after, PlanOptions.interactive(after));
        assertThat(PlanAudit.violations(after, mended)).isEmpty();
        assertThat(PlanDifference.between(told, mended).moved())
                .extracting(PlanDifference.Moved::work)
                .hasSizeLessThanOrEqualTo(1)
                .doesNotContain(inOrder.get(2));
    }

    /** A date that the room left would make late is worth a push: the other car, which has time, makes room. */
    @Test
    void anotherCarMakesRoomWhereADateWouldBeMissed() {
        Shops shops = shop().person("ada", "fit");
        shops.part("flange", shops.instant(1, 8, 0), 0)
                .job("urgent", "first", 480, "fit", needs("flange"))
                .job("x", "second", 480, "fit")
                .job("y", "second", 480, "fit")
                .due("race", "first", shops.instant(3, 16, 0))
                .due("some day", "second", shops.instant(25, 16, 0));
        ShopSnapshot before = shops.snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        ShopSnapshot later = before.withPublished(told)
                .withParts(before.parts().stream()
                        .map(p -> p.withArrival(Optional.of(Arrival.exactly(shops.instant(2, 8, 0)))))
                        .toList());
        Plan mended = Planner.plan(later, PlanOptions.interactive(later));
        assertThat(PlanAudit.violations(later, mended)).isEmpty();
        assertThat(mended.score().hardLateness()).isZero();
        assertThat(PlanDifference.between(told, mended).moved()).hasSizeLessThanOrEqualTo(2);
    }

    /** What was let go may come sooner than it stood, into room that is free; nothing else moves for it. */
    @Test
    void whatIsLetGoTakesFreeRoomAndNothingElseMoves() {
        ShopSnapshot before = twoCars(5).snapshot();
        Plan told = Planner.plan(before, PlanOptions.interactive(before));
        ShopSnapshot after = twoCars(2).snapshot().withPublished(told);
        Plan still = Planner.plan(after, PlanOptions.interactive(after));
        assertThat(PlanDifference.between(told, still).moved()).isEmpty();
        Plan free = Planner.plan(after, PlanOptions.interactive(after).lettingGo(Set.of(new BuildId("first"))));
        assertThat(PlanDifference.between(told, free).moved())
                .extracting(m -> m.work().value())
                .isNotEmpty()
                .isSubsetOf("exhaust", "load");
        assertThat(free.byWork().get(new WorkId("exhaust")).start())
                .isBefore(told.byWork().get(new WorkId("exhaust")).start());
    }

    /** A better plan that was taken is mended from there on, and what was published says whom to tell. */
    @Test
    void whatWasTakenStands() {
        Shops shops = shop().person("ada", "fit");
        // Beyond the days that stay as people were told.
        shops.part("flange", shops.instant(3, 8, 0), 0);
        for (String car : List.of("one", "two", "three")) {
            shops.job("of " + car, car, 240, "fit", needs("flange")).due(car, car, shops.instant(20, 16, 0));
        }
        ShopSnapshot shop = shops.snapshot();
        Plan told = Planner.plan(shop, PlanOptions.interactive(shop));
        List<Plan.Placed> turned = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Plan.Placed at = told.placed().get(2 - i);
            Plan.Placed who = told.placed().get(i);
            turned.add(new Plan.Placed(
                    who.work(),
                    at.start(),
                    at.end(),
                    at.ready(),
                    at.at(),
                    at.crew(),
                    at.station(),
                    false,
                    at.because()));
        }
        Plan other = told.withPlaced(turned);
        ShopSnapshot taken = shop.withPublished(told).withTaken(other);
        Plan plan = Planner.plan(taken, PlanOptions.interactive(taken));
        assertThat(PlanDifference.between(other, plan).moved()).isEmpty();
        assertThat(plan.score().churn()).isPositive();
        assertThat(taken.withPublished(other).taken()).isEmpty();
    }
}
