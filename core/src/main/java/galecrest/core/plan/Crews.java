package galecrest.core.plan;

import galecrest.core.build.CrewPlace;
import galecrest.core.build.Job;
import galecrest.core.build.Status;
import galecrest.core.build.Work;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
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
final class Crews {
    /**
     * More crews than this are not tried for one job. The people with the least sufficient level come first, and among
     * them those whose skills are least asked for: of two who would do equally well, the first is taken.
     */
    private static final int MOST = 120;

    private final ShopSnapshot shop;
    private final Calendars calendars;
    private final Pools pools;
    private final Map<List<Integer>, Crew> known = new HashMap<>();
    private final Map<List<CrewPlace>, List<Crew>> unpinned = new HashMap<>();
    private final Map<CrewPlace, int[]> candidates = new HashMap<>();
    /** How much each person's skills are asked for: the work that takes a skill, shared by those who have it. */
    private final double[] wanted;

    Crews(ShopSnapshot shop, Calendars calendars, Pools pools) {
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
    List<Crew> of(Job job, int[] pinned) {
        return pinned.length == 0
                ? unpinned.computeIfAbsent(job.crew(), places -> find(job, pinned))
                : find(job, pinned);
    }

    private List<Crew> find(Job job, int[] pinned) {
        List<Crew> crews = new ArrayList<>();
        List<int[]> able = job.crew().stream().map(this::candidates).toList();
        int[] must = Arrays.stream(pinned).map(pools::of).toArray();
        fill(able, new int[able.size()], new int[pools.count()], 0, must, crews, new HashSet<>());
        return crews;
    }

    /** The crew of just these people. */
    Crew just(int[] people) {
        return crew(Arrays.stream(people).map(pools::of).sorted().toArray());
    }

    private void fill(
            List<int[]> able,
            int[] crew,
            int[] used,
            int place,
            int[] must,
            List<Crew> crews,
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

    private Crew crew(int[] sorted) {
        return known.computeIfAbsent(Arrays.stream(sorted).boxed().toList(), key -> {
            int[] distinct = Arrays.stream(sorted).distinct().toArray();
            int[] counts = Arrays.stream(distinct)
                    .map(pool ->
                            (int) Arrays.stream(sorted).filter(p -> p == pool).count())
                    .toArray();
            return new Crew(distinct, counts, pools, calendars);
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
