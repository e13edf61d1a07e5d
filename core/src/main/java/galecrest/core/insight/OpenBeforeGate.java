package galecrest.core.insight;

import galecrest.core.build.Gate;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * What is still open before a gate when somebody is about to bring the car there. A job brings the car to its gate where it
 * takes the whole car and no open work on the car up to the same gate waits for it: the first fire, the roll-out, the
 * loading.
 */
public final class OpenBeforeGate {
    private OpenBeforeGate() {}

    /** Essential open work up to the gate of the job, but for itself; empty where the job brings no car to a gate. */
    public static List<Work> of(ShopSnapshot shop, WorkId id) {
        return bringing(shop, id)
                .map(job -> {
                    List<Work> after = after(shop, job);
                    return shop.works().stream()
                            .filter(w -> !w.id().equals(id) && isDue(w, job) && !after.contains(w))
                            .toList();
                })
                .orElse(List.of());
    }

    /** The gate to which a job brings its car; empty where it brings it to none. */
    public static Optional<Gate> broughtTo(ShopSnapshot shop, WorkId id) {
        return bringing(shop, id).map(Job::gate);
    }

    private static Optional<Job> bringing(ShopSnapshot shop, WorkId id) {
        return shop.works().stream()
                .filter(w -> w.id().equals(id) && w instanceof Job)
                .map(w -> (Job) w)
                .filter(job -> job.wholeCar() && job.status() == Status.TODO)
                .filter(job -> after(shop, job).stream().allMatch(w -> w instanceof Job next && !next.onCar()))
                .findFirst();
    }

    /** What waits for the job and is for the same gate. */
    private static List<Work> after(ShopSnapshot shop, Job job) {
        Map<WorkId, Work> works = new HashMap<>();
        shop.works().forEach(w -> works.put(w.id(), w));
        return shop.links().stream()
                .filter(l -> l.first().equals(job.id()) && l.type() == Link.Type.FINISH_START)
                .map(l -> works.get(l.then()))
                .filter(Objects::nonNull)
                .filter(w -> isDue(w, job))
                .toList();
    }

    private static boolean isDue(Work work, Job job) {
        return work.build().equals(job.build())
                && work.status() != Status.DONE
                && work.essential()
                && work.gate().upTo(job.gate());
    }
}
