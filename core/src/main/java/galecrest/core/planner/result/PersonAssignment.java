package galecrest.core.planner.result;

import galecrest.core.people.PersonId;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.Schedule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Settles who of each pool is on which work: in order of start, whoever is free. There is always someone, since never
 * more of a pool are taken at once than it has.
 */
final class PersonAssignment {
    private final SchedulingProblem problem;
    private final List<List<PersonId>> crews = new ArrayList<>();

    PersonAssignment(Schedule schedule) {
        this.problem = schedule.problem;
        for (int node = 0; node < problem.size; node++) {
            crews.add(new ArrayList<>());
        }
        int[] freeFrom = new int[problem.network.shop.people().size()];
        Arrays.fill(freeFrom, Integer.MIN_VALUE);
        IntStream.range(0, problem.size)
                .filter(schedule::planned)
                .boxed()
                .sorted(Comparator.comparingInt(n -> schedule.start[n]))
                .forEach(node -> settle(schedule, node, freeFrom));
    }

    private void settle(Schedule schedule, int node, int[] freeFrom) {
        CrewMode crew = schedule.crew[node];
        if (crew == null) {
            if (problem.activities[node] instanceof Activity.DriveActivity) {
                add(node, problem.pools.anyOf(schedule.driver[node]));
            }
            return;
        }
        for (int i = 0; i < crew.pools.length; i++) {
            int[] members = problem.pools.members(crew.pools[i]);
            int wanted = crew.counts[i];
            for (int m = 0; m < members.length && wanted > 0; m++) {
                if (members.length == 1 || freeFrom[members[m]] <= schedule.start[node]) {
                    freeFrom[members[m]] = schedule.end[node];
                    add(node, members[m]);
                    wanted--;
                }
            }
            if (wanted > 0) {
                throw new IllegalStateException("More people are taken than there are.");
            }
        }
    }

    private void add(int node, int person) {
        crews.get(node).add(problem.network.shop.people().get(person).id());
    }

    List<PersonId> of(int node) {
        return crews.get(node);
    }
}
