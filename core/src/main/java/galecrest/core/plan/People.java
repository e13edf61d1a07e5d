package galecrest.core.plan;

import galecrest.core.people.PersonId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Settles who of each pool is on which work: in order of start, whoever is free. There is always someone, since never
 * more of a pool are taken at once than it has.
 */
final class People {
    private final Model model;
    private final List<List<PersonId>> crews = new ArrayList<>();

    People(Schedule schedule) {
        this.model = schedule.model;
        for (int node = 0; node < model.size; node++) {
            crews.add(new ArrayList<>());
        }
        int[] freeFrom = new int[model.network.shop.people().size()];
        Arrays.fill(freeFrom, Integer.MIN_VALUE);
        IntStream.range(0, model.size)
                .filter(schedule::planned)
                .boxed()
                .sorted(Comparator.comparingInt(n -> schedule.start[n]))
                .forEach(node -> settle(schedule, node, freeFrom));
    }

    private void settle(Schedule schedule, int node, int[] freeFrom) {
        Crew crew = schedule.crew[node];
        if (crew == null) {
            if (model.tasks[node] instanceof Task.DriveTask) {
                add(node, model.pools.anyOf(schedule.driver[node]));
            }
            return;
        }
        for (int i = 0; i < crew.pools.length; i++) {
            int[] members = model.pools.members(crew.pools[i]);
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
        crews.get(node).add(model.network.shop.people().get(person).id());
    }

    List<PersonId> of(int node) {
        return crews.get(node);
    }
}
