package galecrest.core.gauge;

import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What is measured at a car, in the order in which it must be measured: each may disturb only what comes after it, so that
 * nothing is measured twice.
 */
public enum Measured {
    TYRE_PRESSURES("tyre pressures", List.of("pressures")),
    DROOP("droop", List.of()),
    HEIGHTS("heights", List.of("ride height", "rake"), "heights"),
    CORNER_WEIGHTS("corner weights", List.of(), "corner-weights"),
    BUMP_STEER("bump steer", List.of(), "bump-steer"),
    CAMBER_CASTER("camber and caster", List.of("camber", "caster", "alignment"), "camber-caster"),
    TOE("toe", List.of("strings", "thrust"), "strings"),
    GEARING("gearing", List.of("speed calibration"), "gearing"),
    CLUTCH_STOP("clutch stop", List.of(), "clutch-stop"),
    FLUID_LEVELS("fluid levels", List.of("levels")),
    MOUNT_TORQUE("torque of the mounts", List.of("torque")),
    LEAK_TEST("leak and pressure test", List.of("leak", "fuel pressure"), "leak-test"),
    BRAKE_PEDAL("brake pedal", List.of("bleed", "pedal")),
    CIRCUITS("circuits", List.of("circuit")),
    CHARGING("charging", List.of()),
    MAP("map", List.of("power run"));

    private final String label;
    private final List<String> words;
    private final Set<String> gauges;

    Measured(String label, List<String> words, String... gauges) {
        this.label = label;
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
        return gauge.isEmpty()
                ? said.contains(label) || words.stream().anyMatch(said::contains)
                : gauges.contains(gauge);
    }

    /** What no longer holds where this has changed. */
    public Set<Measured> disturbs() {
        return switch (this) {
            case TYRE_PRESSURES -> Set.of(HEIGHTS);
            case DROOP -> Set.of(BUMP_STEER);
            case HEIGHTS -> Set.of(CORNER_WEIGHTS, BUMP_STEER, CAMBER_CASTER, TOE);
            case CAMBER_CASTER -> Set.of(TOE);
            default -> Set.of();
        };
    }
}
