package galecrest.core.planner.result;

import galecrest.core.plan.Plan;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** What a schedule means for each commitment: finish, margin and the chain that makes it so. */
final class CommitmentOutlooks {
    private final ActivityNetwork network;
    private final Schedule schedule;

    CommitmentOutlooks(Schedule schedule) {
        this.network = schedule.problem.network;
        this.schedule = schedule;
    }

    List<Plan.Outlook> all() {
        return IntStream.range(0, network.shop.commitments().size())
                .mapToObj(this::of)
                .toList();
    }

    private Plan.Outlook of(int number) {
        Commitment commitment = network.shop.commitments().get(number);
        int last = -1;
        List<WorkId> missing = new ArrayList<>();
        for (int node : network.needs[number]) {
            if (!schedule.planned(node)) {
                missing.add(network.works.get(node).id());
            } else if (last < 0 || schedule.ready[node] > schedule.ready[last]) {
                last = node;
            }
        }
        if (!missing.isEmpty()) {
            return new Plan.Outlook(commitment.id(), Optional.empty(), Optional.empty(), List.of(), missing);
        }
        int finish = last < 0 ? 0 : schedule.ready[last];
        return new Plan.Outlook(
                commitment.id(),
                Optional.of(network.grid.instant(finish)),
                Optional.of(margin(finish, network.due[number])),
                last < 0 ? List.of() : chain(last),
                List.of());
    }

    private Minutes margin(int finish, int due) {
        return Minutes.of((long) TimeGrid.SLOT_MINUTES * network.calendars.margin(finish, due));
    }

    private List<WorkId> chain(int last) {
        Set<WorkId> chain = new LinkedHashSet<>();
        int node = last;
        while (node >= 0
                && schedule.planned(node)
                && chain.add(network.works.get(node).id())) {
            node = schedule.blocker(node);
        }
        return List.copyOf(chain);
    }
}
