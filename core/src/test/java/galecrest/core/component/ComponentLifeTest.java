package galecrest.core.component;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.build.BuildId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ComponentLifeTest {
    private static final Instant START = Instant.parse("2026-01-05T08:00:00Z");
    private static final LocalDate DAY = LocalDate.parse("2026-03-02");

    private static Instant hour(int n) {
        return START.plusSeconds(3_600L * n);
    }

    private static Component component(
            String name, List<Fitting> fittings, List<LifeLimit> limits, Instant... serviced) {
        return new Component(name, name, "", Wear.NONE, fittings, limits, List.of(serviced), Optional.empty(), false);
    }

    /**
     * Engines are swapped between cars at random, and at any moment each car has one at most. What the cars were used while
     * they had one is what the engines have on them in all: no hour is lost or counted twice.
     */
    @Property(tries = 300)
    void noHourIsLostOrCountedTwice(@ForAll long seed) {
        Random random = new Random(seed);
        int cars = 1 + random.nextInt(4);
        int engines = 1 + random.nextInt(5);
        List<List<Fitting>> fittings = new ArrayList<>();
        int[] on = new int[cars];
        Instant[] since = new Instant[engines];
        int[] where = new int[engines];
        for (int e = 0; e < engines; e++) {
            fittings.add(new ArrayList<>());
            where[e] = -1;
        }
        Arrays.fill(on, -1);
        List<CarUse> uses = new ArrayList<>();
        double[] used = new double[engines];
        double expected = 0;
        for (int h = 1; h <= 60; h++) {
            if (random.nextInt(3) == 0) {
                int engine = random.nextInt(engines);
                int car = random.nextInt(cars);
                // The one that is on the car comes off, and the other leaves where it is.
                takeOff(on[car], where, since, fittings, hour(h), on);
                takeOff(engine, where, since, fittings, hour(h), on);
                where[engine] = car;
                on[car] = engine;
                since[engine] = hour(h);
            } else {
                int car = random.nextInt(cars);
                double hours = random.nextInt(40) / 10.0;
                uses.add(new CarUse(
                        "u" + h, new BuildId("car" + car), hour(h), Wear.of(Counter.HOURS, hours), "run", false));
                if (on[car] >= 0) {
                    expected += hours;
                    used[on[car]] += hours;
                }
            }
        }
        double counted = 0;
        for (int e = 0; e < engines; e++) {
            if (where[e] >= 0) {
                fittings.get(e).add(new Fitting(new BuildId("car" + where[e]), "", since[e], Optional.empty()));
            }
            double life = ComponentLife.of(component("engine " + e, fittings.get(e), List.of()), uses)
                    .total()
                    .get(Counter.HOURS);
            assertThat(life).isCloseTo(used[e], within(1e-9));
            counted += life;
        }
        assertThat(counted).isCloseTo(expected, within(1e-9));
    }

    private static void takeOff(
            int engine, int[] where, Instant[] since, List<List<Fitting>> fittings, Instant at, int[] on) {
        if (engine >= 0 && where[engine] >= 0) {
            fittings.get(engine)
                    .add(new Fitting(new BuildId("car" + where[engine]), "", since[engine], Optional.of(at)));
            on[where[engine]] = -1;
            where[engine] = -1;
        }
    }

    @Test
    void isOnOneCarAtATime() {
        Fitting first = new Fitting(new BuildId("8"), "", hour(0), Optional.of(hour(10)));
        Fitting second = new Fitting(new BuildId("5"), "", hour(9), Optional.empty());
        assertThatThrownBy(() -> component("engine", List.of(first, second), List.of()))
                .hasMessageContaining("on two cars at once");
        Fitting after = new Fitting(new BuildId("5"), "", hour(10), Optional.empty());
        assertThat(component("engine", List.of(after, first), List.of())
                        .at(hour(10))
                        .orElseThrow()
                        .build())
                .as("at the moment of the swap it is on the next car")
                .isEqualTo(new BuildId("5"));
    }

    /** The example of the standing specification: 41 of 45 hours, and a race of four hours takes it to the limit. */
    @Test
    void saysAtWhichEventItRunsOut() {
        Component engine = new Component(
                "e",
                "engine",
                "8",
                Wear.of(Counter.HOURS, 41),
                List.of(),
                List.of(new LifeLimit(Counter.HOURS, 45, true)),
                List.of(),
                Optional.empty(),
                false);
        ComponentLife life = ComponentLife.of(engine, List.of());
        List<ComponentLife.Planned> ahead = List.of(
                new ComponentLife.Planned("the spring race", DAY.plusDays(30), Wear.of(Counter.HOURS, 4)),
                new ComponentLife.Planned("Four hours of Crane Moor", DAY.plusDays(5), Wear.of(Counter.HOURS, 4)));
        assertThat(life.due(DAY, ahead)).singleElement().satisfies(d -> {
            assertThat(d.said()).isEqualTo("41 of 45 h; Four hours of Crane Moor takes it to the limit");
            assertThat(d.day()).isEqualTo(DAY.plusDays(5));
            assertThat(d.service()).isTrue();
        });
        assertThat(life.due(DAY, List.of())).isEmpty();
    }

    @Test
    void aServiceBeginsOnlyWhatItBeginsAnew() {
        Component engine = component(
                "engine",
                List.of(new Fitting(new BuildId("8"), "", hour(0), Optional.empty())),
                List.of(new LifeLimit(Counter.HOURS, 45, true), new LifeLimit(Counter.HOURS, 50, false)),
                hour(20));
        List<CarUse> uses = List.of(
                new CarUse("a", new BuildId("8"), hour(10), Wear.of(Counter.HOURS, 46), "run", true),
                new CarUse("b", new BuildId("8"), hour(30), Wear.of(Counter.HOURS, 5), "run", true),
                new CarUse("c", new BuildId("5"), hour(30), Wear.of(Counter.HOURS, 99), "another car", true));
        ComponentLife life = ComponentLife.of(engine, uses);
        assertThat(life.total().get(Counter.HOURS)).isEqualTo(51);
        assertThat(life.sinceService().get(Counter.HOURS)).isEqualTo(5);
        assertThat(life.due(DAY, List.of())).extracting(ComponentLife.Due::said).containsExactly("51 of 50 h");
        assertThat(life.lapsed(START, ZoneOffset.UTC)).containsExactly("engine: 51 of 50 h");
    }

    @Test
    void lastsThroughItsLastDay() {
        Component harness = new Component(
                "h", "harness", "4411", Wear.NONE, List.of(), List.of(), List.of(), Optional.of(DAY), true);
        ComponentLife life = ComponentLife.of(harness, List.of());
        assertThat(life.lapsed(DAY.atTime(23, 59).toInstant(ZoneOffset.UTC), ZoneOffset.UTC))
                .isEmpty();
        assertThat(life.lapsed(DAY.plusDays(1).atStartOfDay().toInstant(ZoneOffset.UTC), ZoneOffset.UTC))
                .containsExactly("harness 4411: expired 2 Mar 2026");
        assertThat(life.due(DAY, List.of(new ComponentLife.Planned("the race", DAY.plusDays(1), Wear.NONE))))
                .extracting(ComponentLife.Due::said)
                .containsExactly("expires 2 Mar 2026, before the race");
    }

    @Test
    void nothingIsUsedLessThanNotAtAll() {
        assertThatThrownBy(() -> Wear.of(Counter.HOURS, -1)).hasMessageContaining("0 or more");
        assertThatThrownBy(() -> new LifeLimit(Counter.HOURS, 0, false)).hasMessageContaining("more than 0");
    }

    @Test
    void saysWhatItWasUsed() {
        assertThat(new Wear(Map.of(Counter.HOURS, 12.5, Counter.DISTANCE, 340.0, Counter.FIRES, 0.0)).said())
                .isEqualTo("12.5 h, 340 km");
    }
}
