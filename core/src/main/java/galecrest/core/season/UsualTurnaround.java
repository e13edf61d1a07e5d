package galecrest.core.season;

import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is done on a car between two events: wash, grease, bolts, fluids, brakes, tyres, gearing for the next place, service
 * that falls due, weights and toe, load. Common practice; the times are estimates of ours.
 */
public final class UsualTurnaround {
    private static final int WASH = 60;
    private static final int GREASE = 60;
    private static final int BOLTS = 150;
    private static final int FLUIDS = 60;
    private static final int BRAKES = 90;
    private static final int A_SET = 20;
    private static final int SCUFF_A_SET = 40;
    private static final int GEARING = 150;
    private static final int SERVICE = 240;
    private static final int REPLACE = 60;
    private static final int SETUP = 90;
    private static final int LOAD = 60;
    private static final String FIT = "fit";
    private static final String ENGINES = "engines";
    private static final String LIFT = "lift";
    private static final Set<String> WASHED = Set.of("wash");

    private UsualTurnaround() {}

    /**
     * What falls due on a component at the next event or before it.
     *
     * @param component what it is called
     * @param said how it stands, in words
     * @param service whether a service makes it good; else it is replaced
     */
    public record FallsDue(String component, String said, boolean service) {}

    /**
     * What tells what is to be done.
     *
     * @param last the event that the car comes from
     * @param next the event that it goes to
     * @param otherPlace whether they are at different places
     * @param ran what it did at the last one, in words; empty where nobody knows
     * @param sets the sets of tyres that serve the next one
     * @param scuff the new ones among them that should be run in gently before
     */
    public record Facts(
            String last,
            String next,
            boolean otherPlace,
            String ran,
            List<String> sets,
            List<String> scuff,
            List<FallsDue> due) {}

    /** The lines, in the order in which they are usually done. */
    public static List<TurnaroundLine> of(Facts facts) {
        List<TurnaroundLine> lines = new ArrayList<>();
        String after = "after " + facts.last() + (facts.ran().isEmpty() ? "" : ": " + facts.ran());
        lines.add(new TurnaroundLine(
                "wash",
                "Wash, strip panels, inspect",
                WASH,
                1,
                FIT,
                Level.LEARNER,
                Zone.FRONT,
                "wash",
                true,
                Set.of(),
                false,
                after));
        lines.add(line("grease", "Grease, check play", GREASE, FIT, Zone.UNDERSIDE, LIFT, after));
        lines.add(line("bolts", "Bolt check, marked as torqued", BOLTS, FIT, Zone.FRONT, LIFT, after));
        lines.add(line("fluids", "Oil and filter, filter cut open", FLUIDS, ENGINES, Zone.ENGINE_BAY, "", after));
        lines.add(new TurnaroundLine(
                "brakes",
                "Pads, discs, brakes bled",
                BRAKES,
                2,
                FIT,
                Level.ABLE,
                Zone.UNDERSIDE,
                LIFT,
                false,
                WASHED,
                false,
                after));
        for (int i = 0; i < facts.due().size(); i++) {
            FallsDue due = facts.due().get(i);
            lines.add(new TurnaroundLine(
                    "due-" + due.component(),
                    (due.service() ? "Service: " : "Replace: ") + due.component(),
                    due.service() ? SERVICE : REPLACE,
                    1,
                    due.service() ? ENGINES : FIT,
                    Level.ABLE,
                    due.service() ? Zone.ENGINE_BAY : Zone.COCKPIT,
                    "",
                    false,
                    WASHED,
                    false,
                    due.said()));
        }
        tyres(facts, lines);
        if (facts.otherPlace()) {
            lines.add(new TurnaroundLine(
                    "gearing",
                    "Gear ratios for " + facts.next(),
                    GEARING,
                    1,
                    ENGINES,
                    Level.ABLE,
                    Zone.UNDERSIDE,
                    LIFT,
                    false,
                    WASHED,
                    true,
                    "another place: see the gearing gauge"));
        }
        Set<String> before = lines.stream().map(TurnaroundLine::key).collect(Collectors.toSet());
        lines.add(new TurnaroundLine(
                "set-up",
                "Weights, toe, pressures",
                SETUP,
                1,
                "setup",
                Level.ABLE,
                Zone.FRONT,
                "flat patch",
                true,
                before,
                false,
                "what was measured is stale after all this"));
        lines.add(new TurnaroundLine(
                "load",
                "Load",
                LOAD,
                2,
                FIT,
                Level.LEARNER,
                Zone.FRONT,
                "",
                true,
                Stream.concat(before.stream(), Stream.of("set-up")).collect(Collectors.toSet()),
                false,
                "nobody stands between car and winch"));
        return List.copyOf(lines);
    }

    private static void tyres(Facts facts, List<TurnaroundLine> lines) {
        int sets = Math.max(1, facts.sets().size());
        lines.add(new TurnaroundLine(
                "tyres",
                facts.sets().isEmpty() ? "Tyres changed" : "Tyres mounted: " + String.join(", ", facts.sets()),
                A_SET * sets,
                1,
                FIT,
                Level.LEARNER,
                Zone.REAR,
                "",
                false,
                Set.of(),
                false,
                "for " + facts.next()));
        facts.scuff().forEach(set -> lines.add(scuffing(set, facts.next())));
    }

    /** Running a new set in gently, so that it lasts when the grid or the race is decided. */
    public static TurnaroundLine scuffing(String set, String event) {
        return new TurnaroundLine(
                "scuff-" + set,
                "Scuff " + set,
                SCUFF_A_SET,
                1,
                FIT,
                Level.LEARNER,
                Zone.REAR,
                "",
                false,
                Set.of("tyres", "brakes"),
                true,
                "new, and first used where it counts at " + event);
    }

    private static TurnaroundLine line(
            String key, String name, int minutes, String skill, Zone zone, String station, String because) {
        return new TurnaroundLine(
                key, name, minutes, 1, skill, Level.ABLE, zone, station, false, WASHED, false, because);
    }
}
