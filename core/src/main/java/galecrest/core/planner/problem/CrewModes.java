package galecrest.core.planner.problem;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.Calendars;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The crews that could do a job: distinct people, one for each place, each with the skill at the level it takes. */
public final class CrewModes {
    /**
     * More crews than this are not tried for one job. The people with the least sufficient level come first, and among
     * them those whose skills are least asked for: of two who would do equally well, the first is taken.
     */
    private static final int MOST = 120;

    private final ShopSnapshot shop;
    private final Calendars calendars;
    private final ResourcePools pools;
    private final Map<List<Integer>, CrewMode> known = new HashMap<>();
    private final Map<List<CrewPlace>, List<CrewMode>> unpinned = new HashMap<>();
    private final Map<CrewPlace, int[]> candidates = new HashMap<>();
    /** How much each person's skills are asked for: the work that takes a skill, shared by those who have it. */
    private final double[] wanted;

    /** Crew modes of a shop; equal crews are one object. */
    public CrewModes(ShopSnapshot shop, Calendars calendars, ResourcePools pools) {
        this.shop = shop;
        this.calendars = calendars;
        this.pools = pools;
        Map<String, Double> asked = new HashMap<>();
        for (Work work : shop.works()) {
            if (work instanceof Job job && job.status() != Status.DONE) {
                job.crew()
                        .forEach(place ->
                                asked.merge(place.skill(), (double) job.toDo().value(), Double::sum));
            }
        }
        Map<String, Integer> having = new HashMap<>();
        shop.people().forEach(p -> p.skills().keySet().forEach(s -> having.merge(s, 1, Integer::sum)));
        wanted = shop.people().stream()
                .mapToDouble(p -> p.skills().keySet().stream()
                        .sorted()
                        .mapToDouble(s -> asked.getOrDefault(s, 0.0) / having.get(s))
                        .sum())
                .toArray();
    }

    /** The crews to try; all of them hold the pinned people. */
    List<CrewMode> of(Job job, int[] pinned) {
        return pinned.length == 0
                ? unpinned.computeIfAbsent(job.crew(), places -> find(job, pinned))
                : find(job, pinned);
    }

    private List<CrewMode> find(Job job, int[] pinned) {
        List<CrewMode> crews = new ArrayList<>();
        List<int[]> able = job.crew().stream().map(this::candidates).toList();
        int[] must = Arrays.stream(pinned).map(pools::of).toArray();
        fill(able, new int[able.size()], new int[pools.count()], 0, must, crews, new HashSet<>());
        return crews;
    }

    /** The crew of just these people. */
    public CrewMode just(int[] people) {
        return crew(Arrays.stream(people).map(pools::of).sorted().toArray());
    }

    private void fill(
            List<int[]> able,
            int[] crew,
            int[] used,
            int place,
            int[] must,
            List<CrewMode> crews,
            Set<List<Integer>> seen) {
        if (place == crew.length) {
            boolean holdsPinned = Arrays.stream(must).allMatch(p -> used[p] > 0);
            int[] sorted = Arrays.stream(crew).sorted().toArray();
            if (holdsPinned && seen.add(Arrays.stream(sorted).boxed().toList())) {
                crews.add(crew(sorted));
            }
            return;
        }
        for (int pool : able.get(place)) {
            if (crews.size() >= MOST) {
                return;
            }
            if (used[pool] < pools.size(pool)) {
                crew[place] = pool;
                used[pool]++;
                fill(able, crew, used, place + 1, must, crews, seen);
                used[pool]--;
            }
        }
    }

    private CrewMode crew(int[] sorted) {
        return known.computeIfAbsent(Arrays.stream(sorted).boxed().toList(), key -> {
            int[] distinct = Arrays.stream(sorted).distinct().toArray();
            int[] counts = Arrays.stream(distinct)
                    .map(pool ->
                            (int) Arrays.stream(sorted).filter(p -> p == pool).count())
                    .toArray();
            return new CrewMode(distinct, counts, pools, calendars);
        });
    }

    private int[] candidates(CrewPlace place) {
        return candidates.computeIfAbsent(place, p -> {
            List<Person> people = shop.people();
            List<Integer> able = new ArrayList<>();
            for (Level level : Level.values()) {
                int from = able.size();
                for (int pool = 0; pool < pools.count(); pool++) {
                    Level has = people.get(pools.anyOf(pool)).skills().get(p.skill());
                    if (level.atLeast(p.least()) && has == level) {
                        able.add(pool);
                    }
                }
                able.subList(from, able.size()).sort(Comparator.comparingDouble(pool -> wanted[pools.anyOf(pool)]));
            }
            return able.stream().mapToInt(Integer::intValue).toArray();
        });
    }

    /** Why no crew exists for the job, in words; empty where one does. */
    Optional<String> lacking(Job job) {
        for (CrewPlace place : job.crew()) {
            int[] able = candidates(place);
            if (able.length == 0) {
                return Optional.of("Nobody has the skill " + place.skill() + " as "
                        + place.least().name().toLowerCase(Locale.ROOT) + ".");
            }
            if (Arrays.stream(able)
                    .allMatch(p -> calendars.person(pools.anyOf(p)).isEmpty())) {
                return Optional.of("Nobody with the skill " + place.skill() + " has a shift.");
            }
        }
        return Optional.empty();
    }
}
