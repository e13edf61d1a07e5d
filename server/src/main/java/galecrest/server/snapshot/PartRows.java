package galecrest.server.snapshot;

import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Job;
import galecrest.core.work.Work;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Writes part lines. */
final class PartRows {
    private final SnapshotInserts rows;
    /** Counts on through one import, so that rows keep the order of the file. */
    private int position;

    PartRows(SnapshotInserts rows) {
        this.rows = rows;
    }

    /** A part belongs to the build of the jobs that need it; one that nothing needs, to the first build. */
    static Map<PartId, String> buildsOfParts(ShopSnapshot shop) {
        Map<PartId, String> builds = new HashMap<>();
        if (!shop.builds().isEmpty()) {
            shop.parts()
                    .forEach(p -> builds.put(p.id(), shop.builds().get(0).id().value()));
        }
        for (Work work : shop.works()) {
            if (work instanceof Job job) {
                job.parts().forEach(p -> builds.put(p, job.build().value()));
            }
        }
        return builds;
    }

    void part(PartLine part, @Nullable String build) {
        if (build == null) {
            return;
        }
        rows.insert(
                """
                insert into part (id, build_id, name, state, vendor_id, arrival_low, arrival_likely, arrival_high,
                    inspection_minutes, pair_override, promised_at, position)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
                part.id().value(),
                build,
                part.name(),
                part.state().name(),
                part.vendor().map(v -> v.value()).orElse(null),
                SnapshotInserts.at(part.arrival().map(a -> a.low())),
                SnapshotInserts.at(part.arrival().map(a -> a.likely())),
                SnapshotInserts.at(part.arrival().map(a -> a.high())),
                part.inspection().value(),
                part.pairOverride().orElse(null),
                SnapshotInserts.at(part.arrival().map(a -> a.likely())),
                position++);
    }
}
