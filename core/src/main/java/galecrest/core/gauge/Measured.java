package galecrest.core.gauge;

import static galecrest.core.build.Gate.EVENT;
import static galecrest.core.build.Gate.FIRST_FIRE;
import static galecrest.core.build.Gate.GROUND;
import static galecrest.core.build.Gate.POWER_UP;
import static galecrest.core.build.Gate.ROLL_OUT;

import galecrest.core.build.Gate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What is measured at a car, in the order in which it must be measured: each may disturb only what comes after it, so that
 * nothing is measured twice.
 */
public enum Measured {
    TYRE_PRESSURES("tyre pressures", EVENT, List.of("pressures"), "tyre-pressures"),
    DROOP("droop", EVENT, List.of()),
    HEIGHTS("heights", EVENT, List.of("ride height", "rake"), "heights"),
    CORNER_WEIGHTS("corner weights", EVENT, List.of(), "corner-weights"),
    BUMP_STEER("bump steer", EVENT, List.of(), "bump-steer"),
    CAMBER_CASTER("camber and caster", EVENT, List.of("camber", "caster", "alignment"), "camber-caster"),
    LINK_LENGTHS("link lengths", EVENT, List.of("link length")),
    TOE("toe", EVENT, List.of("strings", "thrust"), "strings"),
    PANEL_GAPS("panel gaps", EVENT, List.of("panel gap")),
    GEARING("gearing", EVENT, List.of("speed calibration"), "gearing"),
    CLUTCH_STOP("clutch stop", GROUND, List.of(), "clutch-stop"),
    THROTTLE_STOP("throttle stop", FIRST_FIRE, List.of()),
    FLUID_LEVELS("fluid levels", FIRST_FIRE, List.of("levels")),
    MOUNT_TORQUE("torque of the mounts", GROUND, List.of("torque"), "torque-sheet"),
    LEAK_TEST("leak and pressure test", FIRST_FIRE, List.of("leak", "fuel pressure"), "leak-test"),
    BRAKE_PEDAL("brake pedal", GROUND, List.of("bleed", "pedal")),
    CIRCUITS("circuits", POWER_UP, List.of("circuit"), "power-up"),
    CHARGING("charging", ROLL_OUT, List.of()),
    MAP("map", EVENT, List.of("power run")),
    BALANCE("balance notes", EVENT, List.of("balance")),
    CLASS_CHECK("class check", EVENT, List.of("class limits"), "class-check");

    private final String label;
    private final Gate gate;
    private final List<String> words;
    private final Set<String> gauges;

    Measured(String label, Gate gate, List<String> words, String... gauges) {
        this.label = label;
        this.gate = gate;
        this.words = words;
        this.gauges = Set.of(gauges);
    }

    /** The word for it. */
    public String label() {
        return label;
    }

    /** Whether a sheet is of this: by its gauge, or where it was noted by hand by its words. */
    public boolean is(String gauge, String what) {
        String said = what.toLowerCase(Locale.ROOT);
        return gauge.isEmpty() || gauge.equals("by-hand")
                ? said.contains(label) || words.stream().anyMatch(said::contains)
                : gauges.contains(gauge);
    }

    /** The first gate that stays shut while this is stale: common practice. */
    public Gate gate() {
        return gate;
    }

    /** What a sheet is of. */
    public static Optional<Measured> of(String gauge, String what) {
        return Arrays.stream(values()).filter(m -> m.is(gauge, what)).findFirst();
    }
}
