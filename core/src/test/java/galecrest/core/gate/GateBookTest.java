package galecrest.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Gate;
import galecrest.core.gate.GateFacts.OpenWork;
import galecrest.core.gauge.Measured;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class GateBookTest {
    private static final Instant NOW = Instant.parse("2026-03-02T08:00:00Z");

    /** A car on which all that the gates may ask is so. */
    private static GateFacts allSo() {
        return new GateFacts(
                List.of(),
                Arrays.stream(Measured.values())
                        .collect(Collectors.toMap(m -> m, m -> new GateFacts.Sheet("good", Optional.empty(), false))),
                List.of(),
                List.of(),
                GateBook.USUAL.stream()
                        .filter(l -> l.asks() == GateLine.Asks.SIGNED)
                        .collect(Collectors.toMap(
                                GateLine::key, l -> new GateFacts.Signature("Sef", NOW, Optional.empty()))));
    }

    private static GateStatus status(GateFacts facts, Gate gate, Map<Gate, GateStatus.Passing> passed) {
        return GateBook.of(GateBook.USUAL, passed, facts).stream()
                .filter(g -> g.gate() == gate)
                .findFirst()
                .orElseThrow();
    }

    private static GateStatus.Passing passing(GateStatus status) {
        return new GateStatus.Passing(
                "Bo",
                "Sef",
                NOW,
                status.lines().stream()
                        .filter(GateStatus.Checked::met)
                        .map(l -> l.line().key())
                        .collect(Collectors.toSet()),
                "");
    }

    @ParameterizedTest
    @EnumSource(Gate.class)
    void isReadyWhereAllIsSoAndThenPassed(Gate gate) {
        GateStatus ready = status(allSo(), gate, Map.of());
        assertThat(ready.state()).isEqualTo(GateStatus.State.READY);
        assertThat(ready.refused(false, "")).isEmpty();
        assertThat(status(allSo(), gate, Map.of(gate, passing(ready))).state()).isEqualTo(GateStatus.State.PASSED);
    }

    /**
     * Every gate against every line of it: what is taken away shuts a gate that is not passed; it opens a passed one again
     * where the passing rested on it, and not where it is work or things that came later.
     */
    @ParameterizedTest
    @EnumSource(Gate.class)
    void everyLineShutsItsGate(Gate gate) {
        GateStatus ready = status(allSo(), gate, Map.of());
        for (GateLine line : GateBook.USUAL) {
            if (line.gate() != gate) {
                continue;
            }
            GateFacts without = without(line);
            assertThat(status(without, gate, Map.of()).state()).as(line.text()).isEqualTo(GateStatus.State.SHUT);
            boolean later = Set.of(GateLine.Asks.JOBS, GateLine.Asks.FINDINGS, GateLine.Asks.FOR_NOW)
                    .contains(line.asks());
            assertThat(status(without, gate, Map.of(gate, passing(ready))).state())
                    .as(line.text())
                    .isEqualTo(later ? GateStatus.State.PASSED : GateStatus.State.OPEN_AGAIN);
        }
    }

    /** All is so but that line. */
    private static GateFacts without(GateLine line) {
        GateFacts all = allSo();
        List<OpenWork> work = new ArrayList<>();
        List<GateFacts.ForNow> forNow = new ArrayList<>();
        List<GateFacts.Lapsed> lapsed = new ArrayList<>();
        Map<Measured, GateFacts.Sheet> measured = new HashMap<>(all.measured());
        Map<String, GateFacts.Signature> signed = new HashMap<>(all.signed());
        switch (line.asks()) {
            case JOBS -> work.add(new OpenWork("Hang it", line.gate(), true, false, "Bo", Optional.of(NOW)));
            case FINDINGS -> work.add(new OpenWork("Weep", line.gate(), true, true, "Bo", Optional.of(NOW)));
            case FOR_NOW -> forNow.add(new GateFacts.ForNow("road-car mounts", line.gate()));
            case COMPONENTS -> lapsed.add(new GateFacts.Lapsed("harness: expired 2 Jan 2026", false));
            case SIGNED ->
                signed.put(line.key(), new GateFacts.Signature("Sef", NOW, Optional.of("Brake line changed")));
            default ->
                measured.put(
                        line.restsOn().orElseThrow(),
                        new GateFacts.Sheet("cross 50.1 %", Optional.of("Spring changed"), false));
        }
        return new GateFacts(work, measured, forNow, lapsed, signed);
    }

    @ParameterizedTest
    @CsvSource({
        // the line is marked never, a manager asks, with a reason: may he pass?
        "false, true, in a hurry, true",
        "false, true, '', false",
        "false, false, in a hurry, false",
        "true, true, in a hurry, false",
        "true, false, in a hurry, false"
    })
    void whoMayPassWithALineOpen(boolean never, boolean manages, String reason, boolean may) {
        GateLine line = new GateLine("own", Gate.TEST, "Seat fast", GateLine.Asks.SIGNED, Optional.empty(), never);
        GateStatus gate = GateBook.of(
                        List.of(line), Map.of(), new GateFacts(List.of(), Map.of(), List.of(), List.of(), Map.of()))
                .get(0);
        assertThat(gate.refused(manages, reason).isEmpty()).isEqualTo(may);
    }

    @Test
    void safetyGearOutOfDateIsNeverPassed() {
        GateFacts facts = new GateFacts(
                List.of(),
                allSo().measured(),
                List.of(),
                List.of(new GateFacts.Lapsed("harness 4411: expired 2 Jan 2026", true)),
                allSo().signed());
        assertThat(status(facts, Gate.EVENT, Map.of())
                        .refused(true, "they will not look")
                        .orElseThrow())
                .contains("Nobody passes this gate", "harness 4411");
    }

    @Test
    void aLineThatWasLetGoDoesNotOpenTheGateAgain() {
        GateFacts open = without(lineOf("event-weights"));
        GateStatus.Passing passing = passing(status(open, Gate.EVENT, Map.of()));
        assertThat(passing.met()).doesNotContain("event-weights");
        assertThat(status(open, Gate.EVENT, Map.of(Gate.EVENT, passing)).state())
                .isEqualTo(GateStatus.State.PASSED);
    }

    private static GateLine lineOf(String key) {
        return GateBook.USUAL.stream()
                .filter(l -> l.key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void saysWhoMakesItSoAndWhen() {
        GateFacts facts = new GateFacts(
                List.of(
                        new OpenWork(
                                "Corner weights", Gate.EVENT, true, false, "Sef", Optional.of(NOW.plusSeconds(3600))),
                        new OpenWork("Decals", Gate.EVENT, false, false, "Bo", Optional.empty())),
                Map.of(),
                List.of(),
                List.of(),
                Map.of());
        GateStatus gate = status(facts, Gate.EVENT, Map.of());
        GateStatus.Checked weights = gate.lines().stream()
                .filter(l -> l.line().key().equals("event-weights"))
                .findFirst()
                .orElseThrow();
        assertThat(weights.open()).singleElement().satisfies(o -> {
            assertThat(o.what()).isEqualTo("not measured");
            assertThat(o.who()).isEqualTo("Sef");
            assertThat(o.likely()).contains(NOW.plusSeconds(3600));
        });
        assertThat(gate.lines().get(0).open())
                .as("what is not essential is not asked for")
                .hasSize(1);
        assertThat(gate.likely()).as("nobody plans to measure the toe").isEmpty();
    }

    @Test
    void workForALaterGateDoesNotShutAnEarlierOne() {
        GateFacts facts = new GateFacts(
                List.of(new OpenWork("Decals", Gate.EVENT, true, false, "", Optional.empty())),
                allSo().measured(),
                List.of(new GateFacts.ForNow("road-car seat", Gate.EVENT)),
                List.of(),
                allSo().signed());
        assertThat(GateBook.of(GateBook.USUAL, Map.of(), facts)).allSatisfy(g -> assertThat(g.state())
                .isEqualTo(g.gate() == Gate.EVENT ? GateStatus.State.SHUT : GateStatus.State.READY));
    }
}
