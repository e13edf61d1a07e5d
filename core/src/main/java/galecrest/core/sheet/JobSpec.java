package galecrest.core.sheet;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.shop.Problem;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import java.util.ArrayList;
import java.util.List;

/**
 * What a person says of a job before it is one: from a form, a line of a job sheet or a capture line. It may be
 * wrong; {@link #problems()} says how.
 *
 * @param lowMinutes working time at best; likely and high likewise
 * @param stationKind the kind of station it needs; blank for none
 * @param findPercent the chance that it brings more work to light, as a strip does; that work takes {@code findMinutes}
 */
public record JobSpec(
        String name,
        Zone zone,
        boolean onCar,
        boolean wholeCar,
        int lowMinutes,
        int likelyMinutes,
        int highMinutes,
        List<CrewPlace> crew,
        String stationKind,
        boolean oneGo,
        int cureMinutes,
        CureLock cureLock,
        Gate gate,
        boolean essential,
        int findPercent,
        int findMinutes) {
    /** Longer jobs are several jobs: 20 weeks of one person. */
    private static final int MOST_MINUTES = 20 * 40 * 60;
    /** Nothing in a car cures for longer than 60 days. */
    private static final int MOST_CURE_MINUTES = 60 * 24 * 60;

    private static final int MOST_NAME = 120;
    private static final int MOST_CREW = 6;

    public JobSpec {
        crew = List.copyOf(crew);
    }

    /** The same, needed by another gate. */
    public JobSpec withGate(Gate other) {
        return new JobSpec(
                name,
                zone,
                onCar,
                wholeCar,
                lowMinutes,
                likelyMinutes,
                highMinutes,
                crew,
                stationKind,
                oneGo,
                cureMinutes,
                cureLock,
                other,
                essential,
                findPercent,
                findMinutes);
    }

    /** All that is wrong with it, each at its field. */
    public List<Problem> problems() {
        List<Problem> problems = new ArrayList<>();
        if (name.isBlank() || name.length() > MOST_NAME) {
            problems.add(new Problem("name", "A job needs a name of 1 to " + MOST_NAME + " characters."));
        }
        estimate(problems);
        if (wholeCar && !onCar) {
            problems.add(new Problem("wholeCar", "A job that claims the whole car must be on the car."));
        }
        if (crew.isEmpty() || crew.size() > MOST_CREW) {
            problems.add(new Problem("crew", "A job takes 1 to " + MOST_CREW + " hands, not " + crew.size() + "."));
        }
        for (CrewPlace place : crew) {
            if (place.skill().isBlank()) {
                problems.add(new Problem("crew", "Each hand of a job needs a skill."));
            }
        }
        if (!(findPercent >= 0 && findPercent <= 100)) {
            problems.add(new Problem("findPercent", "The chance to find something is 0 to 100 %."));
        }
        if (!(findMinutes >= 0 && findMinutes <= MOST_MINUTES)) {
            problems.add(new Problem("findMinutes", "What is found takes 0 to 800 h."));
        } else if (findPercent > 0 && findMinutes == 0) {
            problems.add(new Problem("findMinutes", "How much work is what may be found?"));
        }
        if (!(cureMinutes >= 0 && cureMinutes <= MOST_CURE_MINUTES)) {
            problems.add(new Problem("cureMinutes", "The cure time is between 0 and 60 days."));
        }
        return problems;
    }

    private void estimate(List<Problem> problems) {
        if (!(lowMinutes > 0)) {
            problems.add(
                    new Problem("lowMinutes", "The low estimate must be more than 0 min, not " + lowMinutes + "."));
        }
        if (!(lowMinutes <= likelyMinutes)) {
            problems.add(new Problem(
                    "lowMinutes",
                    "The low estimate (" + lowMinutes + " min) is above the likely one (" + likelyMinutes
                            + " min). Low ≤ likely ≤ high."));
        }
        if (!(likelyMinutes <= highMinutes)) {
            problems.add(new Problem(
                    "highMinutes",
                    "The high estimate (" + highMinutes + " min) is below the likely one (" + likelyMinutes
                            + " min). Low ≤ likely ≤ high."));
        }
        if (!(highMinutes <= MOST_MINUTES)) {
            problems.add(new Problem("highMinutes", "A job of more than 800 h is several jobs; split it."));
        }
    }
}
