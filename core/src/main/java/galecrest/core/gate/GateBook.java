package galecrest.core.gate;

import static galecrest.core.gate.GateLine.Asks.COMPONENTS;
import static galecrest.core.gate.GateLine.Asks.FINDINGS;
import static galecrest.core.gate.GateLine.Asks.FOR_NOW;
import static galecrest.core.gate.GateLine.Asks.JOBS;
import static galecrest.core.gate.GateLine.Asks.MEASURED;
import static galecrest.core.gate.GateLine.Asks.SIGNED;

import galecrest.core.build.Gate;
import galecrest.core.gate.GateFacts.OpenWork;
import galecrest.core.gauge.Measured;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What gates ask, held against what is so on a car. */
public final class GateBook {
    /** What a house begins with: common practice. A maker's instructions and the rule book come first. */
    public static final List<GateLine> USUAL = List.of(
            line(Gate.POWER_UP, "power-up-jobs", "Work up to power-up is done", JOBS),
            measured(Gate.POWER_UP, "power-up-circuits", "Circuits measured, none shorted", Measured.CIRCUITS, false),
            signed(
                    Gate.POWER_UP,
                    "power-up-isolator",
                    "Isolator tried: nothing stays live behind it",
                    Measured.CIRCUITS,
                    true),
            line(Gate.FIRST_FIRE, "first-fire-jobs", "Work up to the first fire is done", JOBS),
            measured(Gate.FIRST_FIRE, "first-fire-leak", "Fuel pressure held, and all dry", Measured.LEAK_TEST, true),
            signed(
                    Gate.FIRST_FIRE,
                    "first-fire-oil",
                    "Fresh oil and coolant, levels seen",
                    Measured.FLUID_LEVELS,
                    false),
            signed(
                    Gate.FIRST_FIRE,
                    "first-fire-cranked",
                    "Oil pressure came by cranking without spark",
                    Measured.FLUID_LEVELS,
                    true),
            line(Gate.GROUND, "ground-jobs", "Work up to the ground is done", JOBS),
            signed(Gate.GROUND, "ground-brakes", "Brakes proven: pedal firm, no leak", Measured.BRAKE_PEDAL, true),
            measured(Gate.GROUND, "ground-torque", "Torque sheet signed", Measured.MOUNT_TORQUE, false),
            line(Gate.GROUND, "ground-for-now", "Nothing fitted for now that must be good by now", FOR_NOW),
            line(Gate.TUNER, "tuner-jobs", "Work up to the tuner is done", JOBS),
            measured(Gate.TUNER, "tuner-leak", "Fuel pressure held, and all dry", Measured.LEAK_TEST, true),
            line(Gate.TUNER, "tuner-for-now", "Nothing fitted for now that must be good by now", FOR_NOW),
            line(Gate.ROLL_OUT, "roll-out-jobs", "Work up to the roll-out is done", JOBS),
            line(Gate.ROLL_OUT, "roll-out-findings", "What was found is put right", FINDINGS),
            line(Gate.ROLL_OUT, "roll-out-for-now", "Nothing fitted for now that must be good by now", FOR_NOW),
            signed(
                    Gate.ROLL_OUT,
                    "roll-out-isolator",
                    "Isolator stops the engine, alternator turning",
                    Measured.CHARGING,
                    true),
            line(Gate.ROLL_OUT, "roll-out-components", "Components and safety gear in date", COMPONENTS),
            line(Gate.TEST, "test-jobs", "Work up to the test is done", JOBS),
            line(Gate.TEST, "test-findings", "What was found is put right", FINDINGS),
            line(Gate.TEST, "test-components", "Components and safety gear in date", COMPONENTS),
            line(Gate.EVENT, "event-jobs", "Work up to the event is done", JOBS),
            line(Gate.EVENT, "event-findings", "What was found is put right", FINDINGS),
            line(Gate.EVENT, "event-for-now", "Nothing is fitted for now", FOR_NOW),
            line(Gate.EVENT, "event-components", "Components and safety gear in date", COMPONENTS),
            measured(Gate.EVENT, "event-weights", "Corner weights in tolerance", Measured.CORNER_WEIGHTS, false),
            measured(Gate.EVENT, "event-toe", "Alignment in tolerance", Measured.TOE, false),
            measured(Gate.EVENT, "event-class", "Weight and measures of the class", Measured.CLASS_CHECK, false));

    private GateBook() {}

    private static GateLine line(Gate gate, String key, String text, GateLine.Asks asks) {
        return new GateLine(key, gate, text, asks, Optional.empty(), false);
    }

    private static GateLine measured(Gate gate, String key, String text, Measured what, boolean never) {
        return new GateLine(key, gate, text, MEASURED, Optional.of(what), never);
    }

    private static GateLine signed(Gate gate, String key, String text, Measured restsOn, boolean never) {
        return new GateLine(key, gate, text, SIGNED, Optional.of(restsOn), never);
    }

    /** How each gate that asks anything stands, in the order in which a car comes to them. */
    public static List<GateStatus> of(List<GateLine> lines, Map<Gate, GateStatus.Passing> passed, GateFacts facts) {
        return Arrays.stream(Gate.values())
                .filter(gate -> lines.stream().anyMatch(l -> l.gate() == gate) || passed.containsKey(gate))
                .map(gate -> status(
                        gate,
                        lines.stream().filter(l -> l.gate() == gate).toList(),
                        Optional.ofNullable(passed.get(gate)),
                        facts))
                .toList();
    }

    private static GateStatus status(
            Gate gate, List<GateLine> lines, Optional<GateStatus.Passing> passing, GateFacts facts) {
        List<GateStatus.Checked> checked =
                lines.stream().map(line -> checked(line, facts)).toList();
        boolean met = checked.stream().allMatch(GateStatus.Checked::met);
        boolean disturbed = passing.isPresent()
                && checked.stream()
                        .anyMatch(c -> !c.met()
                                && c.line().carriesThePassing()
                                && passing.get().met().contains(c.line().key()));
        GateStatus.State state = passing.isEmpty()
                ? met ? GateStatus.State.READY : GateStatus.State.SHUT
                : disturbed ? GateStatus.State.OPEN_AGAIN : GateStatus.State.PASSED;
        return new GateStatus(gate, state, checked, passing);
    }

    private static GateStatus.Checked checked(GateLine line, GateFacts facts) {
        List<GateStatus.Open> open =
                switch (line.asks()) {
                    case JOBS ->
                        work(facts.work().stream()
                                .filter(w -> w.essential()
                                        && !w.finding()
                                        && w.gate().upTo(line.gate())));
                    case FINDINGS ->
                        work(facts.work().stream()
                                .filter(w -> w.finding() && w.gate().upTo(line.gate())));
                    case FOR_NOW ->
                        facts.forNow().stream()
                                .filter(f -> f.gate().upTo(line.gate()))
                                .map(f -> new GateStatus.Open(f.what(), "", Optional.empty()))
                                .toList();
                    case MEASURED -> measured(line.restsOn().orElseThrow(), facts);
                    case SIGNED -> signed(line, facts);
                    case COMPONENTS ->
                        facts.lapsed().stream()
                                .map(l -> new GateStatus.Open(l.what(), "", Optional.empty()))
                                .toList();
                };
        boolean never = line.never()
                || line.asks() == COMPONENTS && facts.lapsed().stream().anyMatch(GateFacts.Lapsed::never);
        return new GateStatus.Checked(
                line, open, never, Optional.ofNullable(facts.signed().get(line.key())));
    }

    private static List<GateStatus.Open> work(Stream<OpenWork> work) {
        return work.map(w -> new GateStatus.Open(w.name(), w.who(), w.likely())).toList();
    }

    /** The sheet that is missing, stale or not as it should be, with the open work that measures it. */
    private static List<GateStatus.Open> measured(Measured what, GateFacts facts) {
        GateFacts.Sheet sheet = facts.measured().get(what);
        if (sheet != null && sheet.stale().isEmpty() && !sheet.missed()) {
            return List.of();
        }
        String why = sheet == null
                ? "not measured"
                : sheet.stale().isPresent() ? "stale: " + sheet.stale().get() : "not as it should be: " + sheet.value();
        Optional<OpenWork> renewing =
                facts.work().stream().filter(w -> what.is("", w.name())).findFirst();
        return List.of(
                new GateStatus.Open(why, renewing.map(OpenWork::who).orElse(""), renewing.flatMap(OpenWork::likely)));
    }

    private static List<GateStatus.Open> signed(GateLine line, GateFacts facts) {
        GateFacts.Signature signature = facts.signed().get(line.key());
        if (signature != null && signature.holds()) {
            return List.of();
        }
        String why = signature == null
                ? "nobody has signed"
                : "signed by " + signature.by() + ", then disturbed: "
                        + signature.disturbedBy().get();
        return List.of(new GateStatus.Open(why, "whoever looks at it", Optional.empty()));
    }
}
