package galecrest.core.planner.problem;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.shop.HouseRules;
import galecrest.core.time.Shift;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Job;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Who is taken for a job, of all who could do it. */
class CrewModesTest {
    private final List<Person> people = new ArrayList<>();

    /** Of the same hours as all others but for the start, which makes each a pool of their own. */
    private CrewModesTest person(String id, Map<String, Level> skills) {
        LocalTime from = LocalTime.of(8, 0).minusMinutes(5L * people.size());
        List<Shift> shifts = Arrays.stream(DayOfWeek.values())
                .filter(d -> d.getValue() < 6)
                .map(d -> new Shift(d, from, LocalTime.of(16, 0)))
                .toList();
        people.add(new Person(new PersonId(id), id, skills, shifts, List.of(), BigDecimal.TEN));
        return this;
    }

    private ShopSnapshot with(Shops shops) {
        return shops.snapshot().withPeople(people);
    }

    private static ShopSnapshot taking(ShopSnapshot shop, CrewPlace... places) {
        return shop.withWorks(shop.works().stream()
                .<Work>map(w -> ((Job) w).withCrew(List.of(places), ((Job) w).estimate()))
                .toList());
    }

    private static List<String> crew(ShopSnapshot shop, String work) {
        Plan plan = Planner.plan(shop, PlanOptions.once());
        return plan.byWork().get(new WorkId(work)).crew().stream()
                .map(PersonId::value)
                .sorted()
                .toList();
    }

    @Test
    void whoIsJustGoodEnoughIsTakenBeforeWhoIsBetter() {
        person("lead", Map.of("fit", Level.LEAD)).person("able", Map.of("fit", Level.ABLE));
        assertThat(crew(with(Shops.shop().job("a", "six", 60, "fit")), "a")).containsExactly("able");
    }

    @Test
    void ofTwoWhoDoItEquallyWellTheOneLessAskedForIsTaken() {
        person("both", Map.of("fit", Level.ABLE, "weld", Level.ABLE))
                .person("fitter", Map.of("fit", Level.ABLE))
                .person("other", Map.of("fit", Level.ABLE, "wire", Level.ABLE));
        Shops shops = Shops.shop()
                .job("a", "six", 60, "fit", Shops.JobShape.bench())
                .job("w", "nine", 300, "weld", Shops.JobShape.bench());
        assertThat(crew(with(shops), "a"))
                .as("only both can weld, and nobody asks to wire")
                .containsExactly("fitter");
    }

    @Test
    void whoEndsItSoonerIsTakenHoweverGood() {
        person("lead", Map.of("fit", Level.LEAD)).person("able", Map.of("fit", Level.ABLE));
        Shops shops = Shops.shop()
                .job("a", "six", 300, "fit", Shops.JobShape.bench())
                .job("b", "nine", 60, "fit", Shops.JobShape.bench());
        ShopSnapshot shop = with(shops.pin(new Pin.ToPerson(new PinId("p"), new WorkId("a"), new PersonId("able"))));
        assertThat(crew(shop, "a")).containsExactly("able");
        assertThat(crew(shop, "b")).containsExactly("lead");
    }

    @Test
    void aLearnerIsNotEnoughForAnAbleHand() {
        person("learner", Map.of("fit", Level.LEARNER));
        ShopSnapshot shop = with(Shops.shop().job("a", "six", 60, "fit"));
        Plan plan = Planner.plan(shop, PlanOptions.once());
        assertThat(plan.unplanned()).singleElement().satisfies(u -> assertThat(u.reason())
                .isEqualTo("Nobody has the skill fit as able."));
    }

    @Test
    void aLearnerAndALeadMakeACrewInEitherOrder() {
        person("learner", Map.of("fit", Level.LEARNER)).person("lead", Map.of("fit", Level.LEAD));
        CrewPlace least = new CrewPlace("fit", Level.LEARNER);
        CrewPlace most = new CrewPlace("fit", Level.LEAD);
        ShopSnapshot shop = with(Shops.shop().job("a", "six", 60, "fit"));
        assertThat(crew(taking(shop, least, most), "a")).containsExactly("lead", "learner");
        assertThat(crew(taking(shop, most, least), "a")).containsExactly("lead", "learner");
        assertThat(Planner.plan(taking(shop, most, most), PlanOptions.once()).unplanned())
                .singleElement()
                .satisfies(u -> assertThat(u.reason()).contains("2 people at once"));
    }

    @Test
    void onePersonWithTwoSkillsIsOneHandOnly() {
        person("both", Map.of("fit", Level.ABLE, "weld", Level.ABLE));
        CrewPlace fit = new CrewPlace("fit", Level.ABLE);
        CrewPlace weld = new CrewPlace("weld", Level.ABLE);
        ShopSnapshot shop = taking(with(Shops.shop().job("a", "six", 60, "fit")), fit, weld);
        assertThat(Planner.plan(shop, PlanOptions.once()).unplanned()).hasSize(1);
        person("fitter", Map.of("fit", Level.ABLE));
        assertThat(crew(taking(with(Shops.shop().job("a", "six", 60, "fit")), fit, weld), "a"))
                .containsExactly("both", "fitter");
    }

    @Test
    void pinnedPeopleAreInTheCrewOrThePinIsSaidToBeBroken() {
        person("bo", Map.of("fit", Level.ABLE))
                .person("al", Map.of("fit", Level.ABLE))
                .person("wire", Map.of("wire", Level.ABLE));
        Pin al = new Pin.ToPerson(new PinId("p1"), new WorkId("a"), new PersonId("al"));
        Pin wire = new Pin.ToPerson(new PinId("p2"), new WorkId("a"), new PersonId("wire"));
        ShopSnapshot shop = with(Shops.shop().job("a", "six", 60, "fit").pin(al).pin(wire));
        assertThat(crew(shop, "a")).containsExactly("al");
        Plan plan = Planner.plan(shop, PlanOptions.once());
        assertThat(plan.brokenPins()).singleElement().satisfies(b -> {
            assertThat(b.pin()).isEqualTo(wire.id());
            assertThat(b.reason()).isEqualTo("wire does not have a skill that it takes: fit as able.");
        });
    }

    @Test
    void aCrewOfMoreThanFitsInTheZoneIsNeverPlanned() {
        person("a1", Map.of("fit", Level.ABLE))
                .person("a2", Map.of("fit", Level.ABLE))
                .person("a3", Map.of("fit", Level.ABLE));
        ShopSnapshot shop = with(Shops.shop().job("a", "six", 60, "fit", Shops.JobShape.hands(3)));
        assertThat(shop.rules()).isEqualTo(HouseRules.defaults());
        Optional<Plan.Unplanned> not =
                Planner.plan(shop, PlanOptions.once()).unplanned().stream().findFirst();
        assertThat(not.orElseThrow().reason()).contains("3 people in the zone front, where 2 fit");
    }
}
