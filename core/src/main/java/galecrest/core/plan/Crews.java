package galecrest.core.plan;

import galecrest.core.build.CrewPlace;
import galecrest.core.build.Job;
import galecrest.core.build.Pin;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The crews that could do a job: distinct people, one for each place, each with the skill at the level it takes. */
final class Crews {
    /** More crews than this are not tried for one job; the people with the least sufficient level come first. */
    private static final int MOST = 120;

    private final Network network;

    Crews(Network network) {
        this.network = network;
    }

    /** The crews to try, each in the order of the job's places; all of them hold the pinned people. */
    List<int[]> of(Job job, List<Pin.ToPerson> pinned) {
        if (job.started().isPresent() && !job.started().get().by().isEmpty()) {
            var by = job.started().get().by();
            boolean holdsPinned = pinned.stream().allMatch(p -> by.contains(p.person()));
            return holdsPinned ? List.of(by.stream().mapToInt(network::person).toArray()) : List.of();
        }
        List<int[]> crews = new ArrayList<>();
        int[] must = pinned.stream().mapToInt(p -> network.person(p.person())).toArray();
        List<int[]> candidates = job.crew().stream().map(this::candidates).toList();
        fill(candidates, new int[candidates.size()], 0, must, crews, new HashSet<>());
        return crews;
    }

    private void fill(
            List<int[]> candidates, int[] crew, int place, int[] must, List<int[]> crews, Set<List<Integer>> seen) {
        if (place == crew.length) {
            boolean holdsPinned =
                    Arrays.stream(must).allMatch(p -> Arrays.stream(crew).anyMatch(c -> c == p));
            if (holdsPinned && seen.add(Arrays.stream(crew).sorted().boxed().toList())) {
                crews.add(crew.clone());
            }
            return;
        }
        for (int person : candidates.get(place)) {
            if (crews.size() >= MOST) {
                return;
            }
            if (Arrays.stream(crew, 0, place).noneMatch(c -> c == person)) {
                crew[place] = person;
                fill(candidates, crew, place + 1, must, crews, seen);
            }
        }
    }

    private int[] candidates(CrewPlace place) {
        List<Person> people = network.shop.people();
        List<Integer> able = new ArrayList<>();
        for (Level level : Level.values()) {
            for (int i = 0; i < people.size(); i++) {
                if (level.atLeast(place.least()) && people.get(i).skills().get(place.skill()) == level) {
                    able.add(i);
                }
            }
        }
        return able.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Why no crew exists for the job, in words; empty where one does. */
    Optional<String> lacking(Job job) {
        for (CrewPlace place : job.crew()) {
            int[] able = candidates(place);
            if (able.length == 0) {
                return Optional.of("Nobody has the skill " + place.skill() + " as "
                        + place.least().name().toLowerCase(java.util.Locale.ROOT) + ".");
            }
            if (Arrays.stream(able).allMatch(p -> network.calendars.person(p).isEmpty())) {
                return Optional.of("Nobody with the skill " + place.skill() + " has a shift.");
            }
        }
        return Optional.empty();
    }
}
