package galecrest.core.insight;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.Calendars;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Job;
import galecrest.core.work.WorkId;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How loaded a skill is in a week, against all who have it. People who have several skills count for each, so the loads
 * of skills do not add up.
 *
 * @param week its Monday
 * @param planned minutes of work that need the skill
 * @param there minutes that those who have it are in
 */
public record SkillLoad(String skill, LocalDate week, int planned, int there) {
    /** From this share on a week counts as full. */
    private static final double FULL = 0.85;

    public double share() {
        return there == 0 ? planned == 0 ? 0 : 9.99 : planned / (double) there;
    }

    /** Loads of all skills over so many weeks from this one, by skill and week. */
    public static List<SkillLoad> of(ShopSnapshot shop, Plan plan, int weeks) {
        LocalDate monday = shop.now().atZone(shop.zone()).toLocalDate().with(DayOfWeek.MONDAY);
        TimeGrid grid = new TimeGrid(shop.now(), shop.zone(), java.time.Duration.ofDays(7L * weeks + 7));
        Calendars calendars = new Calendars(shop, grid);
        Map<WorkId, Job> jobs = new HashMap<>();
        shop.works().forEach(w -> {
            if (w instanceof Job job) {
                jobs.put(w.id(), job);
            }
        });
        Map<String, int[]> planned = new TreeMap<>();
        for (Plan.Placed placed : plan.placed()) {
            Job job = jobs.get(placed.work());
            if (job == null) {
                continue;
            }
            for (CrewPlace place : job.crew()) {
                int[] minutes = planned.computeIfAbsent(place.skill(), s -> new int[weeks]);
                for (var stretch : placed.at()) {
                    int week = weekOf(shop, monday, stretch.from());
                    if (week >= 0 && week < weeks) {
                        minutes[week] += (int) java.time.Duration.between(stretch.from(), stretch.to())
                                .toMinutes();
                    }
                }
            }
        }
        List<SkillLoad> loads = new ArrayList<>();
        planned.forEach((skill, minutes) -> {
            for (int week = 0; week < weeks; week++) {
                LocalDate from = monday.plusWeeks(week);
                int a = Math.max(
                        0, grid.atOrAfter(from.atStartOfDay(shop.zone()).toInstant()));
                int b = Math.max(
                        0,
                        grid.atOrAfter(
                                from.plusWeeks(1).atStartOfDay(shop.zone()).toInstant()));
                int there = 0;
                for (int p = 0; p < shop.people().size(); p++) {
                    Person person = shop.people().get(p);
                    if (person.can(skill, Level.LEARNER)) {
                        WorkingWindows in = calendars.person(p);
                        there += TimeGrid.SLOT_MINUTES * (in.workBefore(b) - in.workBefore(a));
                    }
                }
                loads.add(new SkillLoad(skill, from, minutes[week], there));
            }
        });
        return loads;
    }

    private static int weekOf(ShopSnapshot shop, LocalDate monday, Instant at) {
        long days = at.atZone(shop.zone()).toLocalDate().toEpochDay() - monday.toEpochDay();
        return (int) Math.floorDiv(days, 7L);
    }

    /** The fullest skill of the weeks ahead, where one is full in any. */
    public static Optional<SkillLoad> bottleneck(List<SkillLoad> loads) {
        return loads.stream()
                .filter(l -> l.share() >= FULL)
                .max(Comparator.comparingDouble(SkillLoad::share)
                        .thenComparing(Comparator.comparing(SkillLoad::week).reversed()));
    }
}
