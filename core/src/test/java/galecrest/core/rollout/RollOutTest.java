package galecrest.core.rollout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.build.Gate;
import galecrest.core.device.DeviceLine;
import galecrest.core.device.standin.LoggerModel;
import galecrest.core.units.QuantityKind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RollOutTest {
    private static final Instant NOW = Instant.parse("2026-03-02T08:00:00Z");
    private static final Set<Gate> ALL = EnumSet.allOf(Gate.class);

    private static Attempt attempt(String step, boolean over, boolean done, Optional<String> looker) {
        List<Attempt.Tick> ticks = new ArrayList<>();
        UsualSteps.ALL.stream().filter(s -> s.key().equals(step)).forEach(s -> s.before()
                .forEach(c -> ticks.add(new Attempt.Tick(c, false, "Sef", NOW))));
        return new Attempt(
                step + over + done,
                step,
                Optional.of("Bo"),
                looker,
                ticks,
                over ? Optional.of(NOW) : Optional.empty(),
                over ? Optional.of(NOW) : Optional.empty(),
                done,
                Optional.empty(),
                "");
    }

    private static Attempt ready(String step) {
        return attempt(step, false, false, Optional.of("Sef"));
    }

    private static List<Attempt> doneUpTo(String step) {
        return UsualSteps.ALL.stream()
                .takeWhile(s -> !s.key().equals(step))
                .map(s -> attempt(s.key(), true, true, Optional.of("Sef")))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    private static RollOut standing(List<Attempt> attempts, List<Finding> findings, Set<Gate> passed) {
        return new RollOut(UsualSteps.ALL, attempts, findings, passed);
    }

    @Test
    void goesOnceAllIsSo() {
        List<Attempt> attempts = doneUpTo("block");
        RollOut standing = standing(attempts, List.of(), ALL);
        assertThat(standing.here().orElseThrow().key()).isEqualTo("block");
        assertThat(standing.before(ready("block"))).isEmpty();
    }

    @Test
    void goTakesTwoNames() {
        RollOut standing = standing(doneUpTo("block"), List.of(), ALL);
        assertThat(standing.before(attempt("block", false, false, Optional.empty())))
                .containsExactly("nobody looks yet");
        assertThat(standing.before(attempt("block", false, false, Optional.of("Bo"))))
                .containsExactly("who drives and who looks are two people");
    }

    @Test
    void aGateThatIsOpenAgainHoldsAllStepsBehindIt() {
        Set<Gate> passed = EnumSet.allOf(Gate.class);
        passed.remove(Gate.FIRST_FIRE);
        assertThat(standing(doneUpTo("longer"), List.of(), passed).before(ready("longer")))
                .containsExactly("the gate first fire is not passed, or open again");
        // Power-up is no step's own gate, and still nothing fires before it.
        assertThat(standing(List.of(), List.of(), Set.of()).before(ready("first-fire")))
                .containsExactly(
                        "the gate power up is not passed, or open again",
                        "the gate first fire is not passed, or open again");
    }

    @Test
    void whatWasFoundHoldsTheStepItIsPutBeforeAndAllAfterIt() {
        Finding weep = new Finding("f", "weep at the cooler", "idle", Optional.of("block"), false);
        RollOut standing = standing(doneUpTo("block"), List.of(weep), ALL);
        assertThat(standing.blocking("ten-metres")).isEmpty();
        assertThat(standing.before(ready("block"))).containsExactly("found before: weep at the cooler");
        assertThat(standing.blocking("longer")).containsExactly(weep);
        Finding later = new Finding("f", "weep at the cooler", "idle", Optional.of("load-and-speed"), false);
        assertThat(standing(doneUpTo("block"), List.of(later), ALL).before(ready("block")))
                .isEmpty();
        Finding afterAll = new Finding("f", "paint chip", "idle", Optional.empty(), false);
        assertThat(standing(doneUpTo("block"), List.of(afterAll), ALL).blocking("load-and-speed"))
                .isEmpty();
        Finding fixed = new Finding("f", "weep at the cooler", "idle", Optional.of("block"), true);
        assertThat(standing(doneUpTo("block"), List.of(fixed), ALL).before(ready("block")))
                .isEmpty();
    }

    @Test
    void aStepThatIsRunAgainAndStoppedIsNotDone() {
        List<Attempt> attempts = doneUpTo("block");
        attempts.add(attempt("idle", true, false, Optional.of("Sef")));
        RollOut standing = standing(attempts, List.of(), ALL);
        assertThat(standing.isDone("idle")).isFalse();
        assertThat(standing.here().orElseThrow().key()).isEqualTo("idle");
        assertThat(standing.before(ready("block"))).containsExactly("Idle to warm is not done");
    }

    @Test
    void checksAreCounted() {
        Attempt none = new Attempt(
                "a",
                "block",
                Optional.of("Bo"),
                Optional.of("Sef"),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                false,
                Optional.empty(),
                "");
        RollOut standing = standing(doneUpTo("block"), List.of(), ALL);
        assertThat(standing.before(none)).containsExactly("5 checks are open");
        assertThat(standing.afterwards(none)).contains("3 checks are open");
    }

    @Test
    void theUsualStepsComeInTheOrderOfTheirGatesAndTryTheBrakesBeforeTheRoad() {
        List<Gate> gates =
                UsualSteps.ALL.stream().flatMap(s -> s.gate().stream()).toList();
        assertThat(gates).isSorted();
        assertThat(UsualSteps.ALL.stream().map(RollOutStep::key).toList())
                .containsSubsequence("ten-metres", "block", "longer");
        assertThat(UsualSteps.ALL.stream()
                        .filter(s -> s.key().equals("ten-metres"))
                        .flatMap(s -> s.before().stream()))
                .anyMatch(c -> c.contains("brakes"));
    }

    @ParameterizedTest
    @CsvSource({
        "oil-pressure at least 1.0 bar running, oil-pressure, true, PRESSURE, 100000, true",
        "water at most 105 °C, water, false, TEMPERATURE, 378.15, false",
        "engine-speed at most 3000 rpm, engine-speed, false, ROTATION, 50, false",
        "fuel-pressure at least 43.5 psi, fuel-pressure, true, PRESSURE, 299922, false"
    })
    void readsLimitsAsTheyAreWritten(
            String text, String channel, boolean least, QuantityKind kind, double bound, boolean running) {
        ChannelLimit limit = ChannelLimit.read(text);
        assertThat(limit.channel()).isEqualTo(channel);
        assertThat(limit.least()).isEqualTo(least);
        assertThat(limit.kind()).isEqualTo(kind);
        assertThat(limit.bound()).isCloseTo(bound, within(Math.abs(bound) * 1e-5));
        assertThat(limit.running()).isEqualTo(running);
        assertThat(ChannelLimit.read(limit.text())).isEqualTo(limit);
    }

    @ParameterizedTest
    @ValueSource(strings = {"oil pressure low", "water at most", "water at most warm", "water over 105 °C", ""})
    void refusesWhatIsNoLimit(String text) {
        assertThatThrownBy(() -> ChannelLimit.read(text)).isInstanceOf(IllegalArgumentException.class);
    }

    /** The simulated logger stays within the usual limits while all is well, and goes beyond them once it is made to fail. */
    @Test
    void theSimulatedCarIsStoppedOnlyOnceItFails() {
        LoggerModel car = new LoggerModel(7);
        List<ChannelLimit> limits = UsualSteps.ALL.get(1).channels();
        car.simulate("warm", 0);
        for (int second = 10; second <= 900; second += 5) {
            assertThat(beyond(limits, car.lines(second)))
                    .as("after %d s", second)
                    .isEmpty();
        }
        car.simulate("fail oil", 905);
        assertThat(beyond(limits, car.lines(930)))
                .singleElement()
                .asString()
                .contains("oil pressure", "under its floor");
        car.simulate("well", 931);
        car.simulate("fail cooling", 932);
        assertThat(beyond(limits, car.lines(1500))).singleElement().asString().contains("water", "beyond its stop");
    }

    private static List<String> beyond(List<ChannelLimit> limits, List<String> lines) {
        return lines.stream()
                .flatMap(l -> DeviceLine.read(l).stream())
                .map(l -> (DeviceLine.Reading) l)
                .flatMap(r -> limits.stream()
                        .filter(l -> l.channel().equals(r.name()))
                        .flatMap(l -> l.beyond(r.value()).stream()))
                .toList();
    }
}
