package galecrest.core.component;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.BuildId;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class HeatCyclesTest {
    private static final Instant MORNING = Instant.parse("2026-03-02T08:00:00Z");

    private static CarUse run(double startsAfterHours, double hours, boolean warm) {
        Instant end = MORNING.plusSeconds(Math.round((startsAfterHours + hours) * 3600));
        return new CarUse("", new BuildId("8"), end, Wear.of(Counter.HOURS, hours), "run", warm);
    }

    private static Instant after(double hours) {
        return MORNING.plusSeconds(Math.round(hours * 3600));
    }

    @Test
    void aCycleIsWarmThroughAndThenCold() {
        List<CarUse> uses = List.of(run(0, 0.5, true));
        assertThat(HeatCycles.complete(uses, after(6.4))).isEmpty();
        assertThat(HeatCycles.complete(uses, after(6.5)))
                .as("it wore what was fitted when it ran, not when it was cold")
                .containsExactly(after(0.5));
    }

    @Test
    void shortStartsAreNoCycle() {
        List<CarUse> uses = List.of(run(0, 0.01, false), run(1, 0.01, false), run(10, 0.2, false));
        assertThat(HeatCycles.complete(uses, after(100))).isEmpty();
    }

    @Test
    void runsOfOneDayAreOneHeat() {
        List<CarUse> uses = List.of(run(0, 0.1, false), run(2, 0.5, true), run(4, 0.5, true), run(24, 1, true));
        assertThat(HeatCycles.complete(uses, after(48))).containsExactly(after(4.5), after(25));
    }

    @Test
    void whatDoesNotRunDoesNotHeat() {
        CarUse towed = new CarUse("", new BuildId("8"), after(3), Wear.of(Counter.DISTANCE, 40), "towed", false);
        assertThat(HeatCycles.complete(List.of(run(0, 0.5, true), towed), after(7)))
                .containsExactly(after(0.5));
    }
}
