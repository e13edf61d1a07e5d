package galecrest.core.gauge;

import static galecrest.core.gauge.Measured.BALANCE;
import static galecrest.core.gauge.Measured.BRAKE_PEDAL;
import static galecrest.core.gauge.Measured.BUMP_STEER;
import static galecrest.core.gauge.Measured.CAMBER_CASTER;
import static galecrest.core.gauge.Measured.CHARGING;
import static galecrest.core.gauge.Measured.CIRCUITS;
import static galecrest.core.gauge.Measured.CLASS_CHECK;
import static galecrest.core.gauge.Measured.CLUTCH_STOP;
import static galecrest.core.gauge.Measured.CORNER_WEIGHTS;
import static galecrest.core.gauge.Measured.DROOP;
import static galecrest.core.gauge.Measured.FLUID_LEVELS;
import static galecrest.core.gauge.Measured.GEARING;
import static galecrest.core.gauge.Measured.HEIGHTS;
import static galecrest.core.gauge.Measured.LEAK_TEST;
import static galecrest.core.gauge.Measured.LINK_LENGTHS;
import static galecrest.core.gauge.Measured.MAP;
import static galecrest.core.gauge.Measured.MOUNT_TORQUE;
import static galecrest.core.gauge.Measured.PANEL_GAPS;
import static galecrest.core.gauge.Measured.THROTTLE_STOP;
import static galecrest.core.gauge.Measured.TOE;
import static galecrest.core.gauge.Measured.TYRE_PRESSURES;

import galecrest.core.shop.Problem;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What disturbs what, as the house has it: kinds of work, and what depends on each thing that is measured. Nothing disturbs
 * what must be measured before it, so that the graph has no circle and nothing is measured twice.
 *
 * @param disturbances in the order in which they are shown
 * @param moves by what was measured, what no longer holds where that has changed
 */
public record StaleGraph(List<Disturbance> disturbances, Map<Measured, Set<Measured>> moves) {
    private static final int MOST = 60;
    private static final int LONGEST = 60;

    /** What a house begins with: common practice. */
    public static final StaleGraph USUAL = new StaleGraph(
            List.of(
                    usual(
                            "strut-spacer",
                            "Strut spacer",
                            "spacer",
                            DROOP,
                            HEIGHTS,
                            BUMP_STEER,
                            CAMBER_CASTER,
                            LINK_LENGTHS),
                    usual(
                            "spring",
                            "Spring, damper or ride height",
                            "spring in, spring fitted, spring changed, spring renewed, damper in, ride height set,"
                                    + " height adjusted",
                            HEIGHTS,
                            BALANCE),
                    usual(
                            "bar",
                            "Anti-roll bar",
                            "anti-roll, anti-roll bar, roll bar link, bar link",
                            CORNER_WEIGHTS,
                            BALANCE),
                    usual(
                            "tyre-size",
                            "Tyre size",
                            "tyre size, other tyre, new tyre",
                            TYRE_PRESSURES,
                            HEIGHTS,
                            GEARING),
                    usual("ratios", "Gear or axle ratios", "axle ratio, final drive, gear ratio", GEARING),
                    usual(
                            "engine-out",
                            "Engine or gearbox out",
                            "engine out, engine in, engine and gearbox out, engine and gearbox in, gearbox out, gearbox in,"
                                    + " clutch",
                            CLUTCH_STOP,
                            THROTTLE_STOP,
                            FLUID_LEVELS,
                            MOUNT_TORQUE),
                    usual(
                            "subframe",
                            "Subframe, bushes or hubs",
                            "subframe, bush, bushing, wheel bearing, hub, wishbone, track rod, suspension in, axle in",
                            CAMBER_CASTER,
                            BUMP_STEER,
                            PANEL_GAPS),
                    usual(
                            "fuel-system",
                            "Fuel system opened",
                            "fuel line, fuel system, fuel pump, fuel tank, fuel rail",
                            LEAK_TEST),
                    usual(
                            "brake-hydraulics",
                            "Brake hydraulics opened",
                            "brake line, caliper, master cylinder, brake hydraulics, pads and line",
                            BRAKE_PEDAL,
                            LEAK_TEST),
                    usual("wiring", "Wiring", "loom, wiring, rewire", CIRCUITS, CHARGING),
                    usual(
                            "breathing",
                            "Injectors, turbo, cams, exhaust",
                            "injector, turbo, cam, camshaft, exhaust, manifold",
                            MAP)),
            Map.of(
                    TYRE_PRESSURES, Set.of(HEIGHTS),
                    DROOP, Set.of(BUMP_STEER),
                    HEIGHTS, Set.of(CORNER_WEIGHTS, BUMP_STEER, CAMBER_CASTER, TOE, CLASS_CHECK),
                    CAMBER_CASTER, Set.of(TOE),
                    LINK_LENGTHS, Set.of(TOE)));

    public StaleGraph {
        disturbances = List.copyOf(disturbances);
        moves = Map.copyOf(moves);
    }

    private static Disturbance usual(String id, String label, String words, Measured... first) {
        return new Disturbance(id, label, List.of(words.split(",\\s*")), Set.of(first));
    }

    /** The kinds of work that the words of a job name. */
    public List<Disturbance> in(String text) {
        return disturbances.stream().filter(d -> d.isIn(text)).toList();
    }

    /** The kinds of work that a job says it does: those it carries, or where it carries none, those of its words. */
    public List<Disturbance> of(Carried carried, String name) {
        return carried.said()
                ? disturbances.stream()
                        .filter(d -> carried.ids().contains(d.id()))
                        .toList()
                : in(name);
    }

    /**
     * What a job carries.
     *
     * @param said whether somebody has said so; else its words count
     */
    public record Carried(boolean said, Set<String> ids) {
        public Carried {
            ids = Set.copyOf(ids);
        }

        /** A job of which its words count. */
        public static final Carried BY_WORDS = new Carried(false, Set.of());
    }

    /** All that no longer holds once such work is done, in the order in which it must be measured anew. */
    public List<Measured> stale(Collection<Disturbance> done) {
        Set<Measured> all = EnumSet.noneOf(Measured.class);
        done.forEach(d -> d.first().forEach(m -> add(m, all)));
        return List.copyOf(all);
    }

    private void add(Measured measured, Set<Measured> all) {
        if (all.add(measured)) {
            moves.getOrDefault(measured, Set.of()).forEach(m -> add(m, all));
        }
    }

    /** All that is wrong with it, each at its field: {@code disturbances[i].label}, {@code moves.NAME}. */
    public List<Problem> problems() {
        List<Problem> problems = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        Set<String> labels = new HashSet<>();
        if (disturbances.isEmpty()) {
            problems.add(new Problem("disturbances", "Leave at least one kind of work that disturbs something."));
        }
        if (disturbances.size() > MOST) {
            problems.add(new Problem("disturbances", "There are at most " + MOST + " kinds of work here."));
        }
        for (int i = 0; i < disturbances.size(); i++) {
            Disturbance one = disturbances.get(i);
            String at = "disturbances[" + i + "].";
            if (one.label().isBlank() || one.label().length() > LONGEST) {
                problems.add(new Problem(at + "label", "It needs a name of 1 to " + LONGEST + " letters."));
            } else if (!labels.add(one.label().strip().toLowerCase(Locale.ROOT))) {
                problems.add(new Problem(at + "label", "There is another \"" + one.label() + "\"."));
            }
            if (one.label().contains(";")) {
                problems.add(new Problem(at + "label", "No semicolon: it parts the names on a job sheet."));
            }
            if (!one.id().matches("[A-Za-z0-9-]{1,60}")) {
                problems.add(new Problem(at + "id", "is letters, digits and hyphens."));
            }
            if (!ids.add(one.id())) {
                problems.add(new Problem(at + "id", "is there twice."));
            }
            if (one.words().stream().anyMatch(w -> w.isBlank() || w.length() > LONGEST)) {
                problems.add(new Problem(at + "words", "Each phrase has 1 to " + LONGEST + " letters."));
            }
        }
        moves.forEach((one, others) -> others.stream()
                .filter(other -> other.compareTo(one) <= 0)
                .forEach(other -> problems.add(new Problem(
                        "moves." + one.name(),
                        "The " + other.label() + " come before the " + one.label()
                                + " in the order of measuring: they would be measured twice."))));
        return problems;
    }

    /** The same with sets in the order of measuring, as it is written down. */
    public Map<Measured, List<Measured>> ordered() {
        Map<Measured, List<Measured>> all = new EnumMap<>(Measured.class);
        moves.forEach((one, others) -> {
            if (!others.isEmpty()) {
                all.put(one, others.stream().sorted().toList());
            }
        });
        return all;
    }
}
