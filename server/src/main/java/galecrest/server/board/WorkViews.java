package galecrest.server.board;

import galecrest.core.people.PersonId;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Job;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Works as a board shows them: what they are, where they are placed and why they wait. */
final class WorkViews {
    private final BoardRepository record;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final ReasonText words;
    private final Map<WorkId, Plan.Placed> placed;
    private final ShopSnapshot whole;
    private final Map<WorkId, String> cannot = new HashMap<>();

    WorkViews(BoardSource source) {
        record = source.record();
        shop = source.shop();
        whole = source.current().whole();
        plan = source.plan();
        words = source.words();
        placed = source.placed();
        plan.unplanned().forEach(u -> cannot.put(u.work(), u.reason()));
    }

    List<Board.WorkView> works() {
        Map<String, WorkRow> rows = record.works();
        return whole.works().stream()
                .filter(w -> rows.containsKey(w.id().value()))
                .map(w -> work(w, rows.get(w.id().value())))
                .toList();
    }

    private Board.WorkView work(Work work, WorkRow row) {
        Plan.Placed at = placed.get(work.id());
        return new Board.WorkView(
                work.id().value(),
                work.build().value(),
                work instanceof Job
                        ? Board.Kind.JOB
                        : work instanceof Outwork ? Board.Kind.OUTWORK : Board.Kind.RUNNING_IN,
                work.name(),
                row.stage(),
                row.round(),
                row.date(),
                row.afterDates(),
                row.there(),
                work.gate(),
                work.essential(),
                work.status(),
                row.notBefore(),
                work.hold()
                        .map(h -> new Board.HoldView(
                                h.reason(),
                                h.note(),
                                h.until().orElse(null),
                                h.part().map(p -> p.value()).orElse(null)))
                        .orElse(null),
                work.doneAt().orElse(null),
                row.doneBefore(),
                row.note(),
                row.customerName(),
                row.version(),
                work instanceof Job job ? job(job, row) : null,
                work instanceof Outwork outwork ? outwork(outwork) : null,
                work instanceof RunningIn r
                        ? new Board.RunningInView(
                                r.distanceKm(),
                                r.doneKm(),
                                r.perDayKm(),
                                (int) r.perDay().value(),
                                r.driver().skill(),
                                r.anyWeather())
                        : null,
                at == null ? null : placed(at),
                cannot.get(work.id()));
    }

    private Board.JobView job(Job job, WorkRow row) {
        return new Board.JobView(
                job.zone(),
                job.onCar(),
                job.wholeCar(),
                (int) job.estimate().low().value(),
                (int) job.estimate().likely().value(),
                (int) job.estimate().high().value(),
                (int) job.toDo().value(),
                job.crew(),
                job.stationKind().orElse(""),
                job.oneGo(),
                (int) job.cure().toMinutes(),
                job.cureLock(),
                job.findings().map(f -> (int) Math.round(100 * f.chance())).orElse(0),
                job.findings().map(f -> (int) f.work().value()).orElse(0),
                row.finding(),
                job.parts().stream().map(p -> p.value()).toList(),
                job.started()
                        .map(s -> s.by().stream().map(PersonId::value).toList())
                        .orElse(List.of()),
                over(job, row.remaining()));
    }

    /** Minutes that a job which goes on has taken beyond what was thought; 0 where it has not. */
    private int over(Job job, @Nullable Integer remaining) {
        long thought = remaining == null ? job.estimate().likely().value() : remaining;
        return job.started().filter(s -> !s.by().isEmpty()).stream()
                .flatMap(s -> shop.people().stream()
                        .filter(p -> p.id().equals(s.by().get(0)))
                        .map(p -> WorkedTime.of(p, s.at(), shop.now(), shop.zone())))
                .mapToInt(worked -> (int) Math.max(0, worked.value() - thought))
                .findFirst()
                .orElse(0);
    }

    private Board.OutworkView outwork(Outwork outwork) {
        return new Board.OutworkView(
                outwork.vendor().value(),
                outwork.wholeCar(),
                (int) outwork.transportOut().toMinutes(),
                outwork.slot().map(s -> s.from()).orElse(null),
                outwork.slot().map(s -> s.to()).orElse(null),
                outwork.turnaround().low(),
                outwork.turnaround().likely(),
                outwork.turnaround().high(),
                (int) outwork.transportBack().toMinutes(),
                (int) outwork.inspection().value(),
                outwork.away().map(a -> a.since()).orElse(null),
                outwork.away().map(a -> a.back().low()).orElse(null),
                outwork.away().map(a -> a.back().likely()).orElse(null),
                outwork.away().map(a -> a.back().high()).orElse(null));
    }

    private Board.PlacedView placed(Plan.Placed at) {
        return new Board.PlacedView(
                at.start(),
                at.end(),
                at.ready(),
                at.at().stream().map(s -> new Board.Stretch(s.from(), s.to())).toList(),
                at.crew().stream().map(PersonId::value).toList(),
                at.station().map(s -> s.value()).orElse(null),
                at.slotMissed(),
                at.because().tag().orElse(null),
                words.reason(at.because()),
                at.because().blocker().map(WorkId::value).orElse(null));
    }

    List<Board.LinkView> links() {
        Set<LinkId> used = Set.copyOf(plan.startedAtRisk());
        Map<String, String> reasons = record.reasonsOfLinks();
        return whole.links().stream()
                .map(l -> new Board.LinkView(
                        l.id().value(),
                        l.first().value(),
                        l.then().value(),
                        l.type(),
                        (int) l.lag().minutes().value(),
                        l.lag().working(),
                        l.risk().map(r -> r.chance()).orElse(null),
                        used.contains(l.id()),
                        reasons.getOrDefault(l.id().value(), "")))
                .toList();
    }
}
