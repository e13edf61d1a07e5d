package galecrest.core.rollout;

import galecrest.core.build.Gate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The steps that a house begins with: common practice. A maker's instructions and the rule book come first. */
public final class UsualSteps {
    private static final List<ChannelLimit> ENGINE =
            channels("oil-pressure at least 1.0 bar running", "oil-temperature at most 130 °C", "water at most 105 °C");

    public static final List<RollOutStep> ALL = List.of(
            new RollOutStep(
                    "first-fire",
                    "First fire",
                    "at most 20 s, and off at the first leak or without oil pressure",
                    Optional.of(Gate.FIRST_FIRE),
                    List.of(
                            "Extraction on, doors open",
                            "Extinguisher in somebody's hand",
                            "Isolator within reach of who looks",
                            "Nobody in line with the belts"),
                    List.of("No leak: fuel, oil, water", "Oil pressure came at once"),
                    channels("oil-pressure at least 1.0 bar running")),
            new RollOutStep(
                    "idle",
                    "Idle to warm",
                    "no more than 2000 rpm, until the fan has come and gone",
                    Optional.of(Gate.FIRST_FIRE),
                    List.of("Extraction on, doors open", "Levels seen again after the first fire"),
                    List.of(
                            "No leak: under the gearbox, lines, cooler",
                            "Fan comes in and goes out",
                            "Timing and mixture as the maker says"),
                    ENGINE),
            new RollOutStep(
                    "ten-metres",
                    "Ten metres",
                    "10 m on level ground at walking pace, nobody in front",
                    Optional.of(Gate.GROUND),
                    List.of(
                            "Pedal firm, car held by its brakes",
                            "Clutch frees, pedal at its stop",
                            "Wheel nuts at torque, marked",
                            "Way ahead clear, level"),
                    List.of("Brakes stop it straight", "Clutch bites and frees", "Nothing touches or drags"),
                    ENGINE),
            new RollOutStep(
                    "block",
                    "Round the block",
                    "800 m, no more than 3000 rpm, somebody at the gate",
                    Optional.of(Gate.ROLL_OUT),
                    List.of(
                            "Pedal firm, car held on the slope",
                            "No leak after idle: under the gearbox, lines, cooler",
                            "Isolator stops the engine, alternator turning",
                            "Steering free lock to lock, nothing touches",
                            "Harness, seat and wheel fast"),
                    List.of("No leak", "No smell, no noise that was not there", "Hubs and brakes of one warmth"),
                    ENGINE),
            new RollOutStep(
                    "cold-again",
                    "Cold again",
                    "cooled overnight or near it, then inspected",
                    Optional.empty(),
                    List.of("Cold through"),
                    List.of(
                            "Bolts of hubs, mounts and propshaft at their marks",
                            "Levels and what is under the car",
                            "Hoses and wires where they may chafe"),
                    List.of()),
            new RollOutStep(
                    "longer",
                    "Longer drive",
                    "15 km, no more than 4000 rpm, a car behind",
                    Optional.of(Gate.ROLL_OUT),
                    List.of("Somebody follows with an extinguisher", "Telephone aboard"),
                    List.of("No leak", "Temperatures settle", "Brakes pull straight"),
                    ENGINE),
            new RollOutStep(
                    "running-in",
                    "Running-in",
                    "the distance and the heat cycles that the builder asks, on old tyres",
                    Optional.of(Gate.ROLL_OUT),
                    List.of("Old tyres on", "What the engine's builder asks is read"),
                    List.of("Oil and filter changed", "Filter cut open and looked at"),
                    ENGINE),
            new RollOutStep(
                    "load-and-speed",
                    "Load and speed",
                    "in steps of load and speed, each looked at before the next",
                    Optional.of(Gate.TEST),
                    List.of("Tyres and pressures for the speed", "Bolt check after running-in"),
                    List.of("No leak", "Data of the run looked at"),
                    ENGINE));

    private UsualSteps() {}

    private static List<ChannelLimit> channels(String... texts) {
        return Arrays.stream(texts).map(ChannelLimit::read).toList();
    }
}
