package galecrest.core.season;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import galecrest.core.sheet.JobSpec;
import galecrest.core.sheet.SheetLine;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Link;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A thing that is done on a car between two events.
 *
 * @param key names it among the lines of a turnaround
 * @param minutes working time, likely
 * @param hands how many do it, 1 or more
 * @param skill what it takes
 * @param least how well the first of them must know it; the others may be learners
 * @param station the kind of station; empty for none
 * @param wholeCar whether nobody else can be at the car meanwhile
 * @param after the lines that come before it
 * @param canFollow whether the car may go without it
 * @param because why it is done now, in words
 */
public record TurnaroundLine(
        String key,
        String name,
        int minutes,
        int hands,
        String skill,
        Level least,
        Zone zone,
        String station,
        boolean wholeCar,
        Set<String> after,
        boolean canFollow,
        String because) {
    public TurnaroundLine {
        after = Set.copyOf(after);
        if (minutes <= 0 || hands <= 0) {
            throw new IllegalArgumentException(name + " takes more than no time and nobody.");
        }
    }

    /** Working time of all hands together, minutes. */
    public int labour() {
        return minutes * hands;
    }

    /** The same where the shop does not know that skill or has no such station. */
    public TurnaroundLine where(Set<String> skills, String otherwise, Set<String> stations) {
        return new TurnaroundLine(
                key,
                name,
                minutes,
                hands,
                skills.contains(skill) ? skill : otherwise,
                least,
                zone,
                stations.contains(station) ? station : "",
                wholeCar,
                after,
                canFollow,
                because);
    }

    /**
     * The line of a job sheet.
     *
     * @param number its row
     * @param there the lines that are done too: it waits only for those
     */
    public SheetLine line(int number, Set<String> there) {
        List<CrewPlace> crew = new ArrayList<>(Collections.nCopies(hands, new CrewPlace(skill, Level.LEARNER)));
        crew.set(0, new CrewPlace(skill, least));
        JobSpec spec = new JobSpec(
                name,
                zone,
                true,
                wholeCar,
                Math.max(5, minutes * 3 / 4),
                minutes,
                minutes * 3 / 2,
                crew,
                station,
                false,
                0,
                CureLock.NOTHING,
                Gate.EVENT,
                !canFollow,
                0,
                0);
        List<SheetLine.After> links = after.stream()
                .filter(there::contains)
                .sorted()
                .map(k -> new SheetLine.After(k, Link.Type.FINISH_START, Link.Lag.NONE, Optional.empty(), ""))
                .toList();
        return new SheetLine(number, key, "Turnaround", spec, because, links);
    }
}
