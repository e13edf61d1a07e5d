package galecrest.core.planner.repair;

import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.repair.Timetable.Place;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.work.Commitment;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class EjectionChainTest {
    private static ShiftChange away(LocalDate day, int until) {
        return new ShiftChange(ShiftChange.Kind.LEAVE, day, day, LocalTime.MIDNIGHT, LocalTime.of(until, 0), "");
    }

    private static ShopSnapshot with(ShopSnapshot shop, String person, ShiftChange change) {
        return shop.withPeople(shop.people().stream()
                .map(p -> p.id().value().equals(person) ? p.with(change) : p)
                .toList());
    }

    private static ShopSnapshot able(ShopSnapshot shop, String person, String skill) {
        return shop.withPeople(shop.people().stream()
                .map(p -> {
                    Map<String, Level> skills = new HashMap<>(p.skills());
                    skills.put(skill, Level.ABLE);
                    return p.id().value().equals(person)
                            ? new Person(p.id(), p.name(), skills, p.shifts(), p.changes(), p.costPerHour())
                            : p;
                })
                .toList());
    }

    /**
     * Cy, who welds, is away on the Wednesday on which the cage comes and must be done. Bo can weld, but is on the wiring of another car, which is due the
     * same day; Ada can wire, but is on a pump that has a week. So three things move, and no date is late.
     */
    @Test
    void oneTakesThePlaceOfTheNextUntilThereIsRoom() {
        Shops shops = shop().person("ada", "pumps").person("bo", "wire").person("cy", "weld");
        shops.part("kit", shops.instant(2, 8, 0), 0)
                .job("cage", "first", 480, "weld", needs("kit"))
                .job("harness", "second", 480, "wire", needs("kit"))
                .job("pump", "third", 480, "pumps", needs("kit"))
                .due("first done", "first", Commitment.Kind.EVENT, shops.instant(2, 16, 0), 5)
                .due("second done", "second", Commitment.Kind.EVENT, shops.instant(2, 16, 0), 5)
                .due("third done", "third", shops.instant(7, 16, 0));
        ShopSnapshot shop = able(able(shops.snapshot(), "ada", "wire"), "bo", "weld");
        Plan told = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(told.byWork().values()).as("all three on the Wednesday").allMatch(p -> p.end()
                .equals(shops.instant(2, 16, 0)));
        ShopSnapshot without = with(
                shop.withPublished(told), "cy", away(Shops.MONDAY.toLocalDate().plusDays(2), 16));
        Plan mended = Planner.plan(without, PlanOptions.interactive(without));
        assertThat(PlanAudit.violations(without, mended)).isEmpty();
        assertThat(PlanDifference.between(told, mended).moved())
                .extracting(m -> m.work().value() + " " + m.otherCrew())
                .containsExactlyInAnyOrder("cage true", "harness true", "pump false");
        assertThat(mended.outlooks()).noneMatch(Plan.Outlook::late);
    }

    /** What is found is what comes of it: the scheduler, which knows nothing of timetables, puts all just there. */
    @Test
    void theScheduleIsJustWhatTheChainSays() {
        int found = 0;
        for (int seed = 0; seed < 400; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 20 + seed % 30);
            Plan told = Planner.plan(shop, PlanOptions.interactive(shop));
            Random random = new Random(seed);
            Person person = shop.people().get(random.nextInt(shop.people().size()));
            LocalDate day = LocalDate.ofInstant(shop.now(), shop.zone()).plusDays(random.nextInt(4));
            ShopSnapshot edited = with(shop.withPublished(told), person.id().value(), away(day, 13));
            found += chainHolds(edited, told, "seed " + seed) ? 1 : 0;
        }
        assertThat(found).isGreaterThan(40);
    }

    private static boolean chainHolds(ShopSnapshot shop, Plan told, String name) {
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        Evaluator evaluator = new Evaluator(problem);
        RepairAttempt attempt = new RepairAttempt(problem, evaluator, told, Set.of(), 64);
        Unsettled unsettled = Unsettled.of(told, problem, evaluator.schedule, attempt.ranks);
        List<Integer> nodes = List.copyOf(unsettled.nodes());
        int[] slots = IntStream.range(0, problem.size)
                .map(node -> unsettled.timetable().times[node] == null
                        ? -1
                        : unsettled.timetable().times[node].start())
                .toArray();
        boolean[] movable = unsettled.timetable().movable.clone();
        List<Place> chain = new EjectionChain(unsettled, attempt.urgency, attempt.cost).find(100_000);
        if (nodes.isEmpty() || chain.isEmpty()) {
            return false;
        }
        assertThat(chain)
                .as(name)
                .extracting(Place::node)
                .doesNotHaveDuplicates()
                .containsAll(nodes);
        attempt.moves(chain);
        // What nobody may move finds its own time; where that is another now, so may be what it is in the way of.
        boolean restStays = IntStream.range(0, problem.size)
                .filter(node -> slots[node] >= 0 && !movable[node])
                .allMatch(node -> evaluator.schedule.start[node] == slots[node]);
        if (!restStays) {
            return false;
        }
        chain.forEach(place -> slots[place.node()] = place.start());
        for (int node = 0; node < problem.size; node++) {
            if (slots[node] >= 0) {
                assertThat(evaluator.schedule.start[node])
                        .as("%s, %s", name, problem.network.works.get(node).name())
                        .isEqualTo(slots[node]);
            }
        }
        chain.forEach(place ->
                assertThat(evaluator.schedule.crew[place.node()]).as(name).isSameAs(place.crew()));
        return true;
    }
}
