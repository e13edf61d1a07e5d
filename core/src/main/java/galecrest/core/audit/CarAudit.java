package galecrest.core.audit;

import galecrest.core.build.Build;
import galecrest.core.build.Zone;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Span;
import galecrest.core.work.Commitment;
import galecrest.core.work.CureLock;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The rules of what can go on at one car at the same time: zones, whole-car work, stations, curing, being away. */
final class CarAudit {
    private final AuditCase audit;
    private final ShopSnapshot shop;
    private final Map<WorkId, Plan.Placed> placed;
    private final Map<WorkId, Work> works;
    private final long now;

    CarAudit(AuditCase audit) {
        this.audit = audit;
        shop = audit.shop;
        placed = audit.placed;
        works = audit.works;
        now = audit.now;
    }

    /** On-car work between start and end. */
    private record OnCar(Job job, Plan.Placed at, Span span) {}

    /**
     * A stretch in which nothing else may go on at the car, or (with a zone) in that zone. What has happened already
     * (a {@code fact}: done work that cures, a car that is gone) no plan can change, so two facts may clash.
     */
    private record Locked(Work by, Span span, Optional<Zone> zone, boolean curing, boolean fact) {}

    void audit() {
        for (Build build : shop.builds()) {
            List<OnCar> onCar = new ArrayList<>();
            List<Locked> locks = new ArrayList<>();
            for (Work work : shop.works()) {
                if (work.build().equals(build.id())) {
                    collect(work, onCar, locks);
                }
            }
            pairs(onCar);
            locks(onCar, locks);
            audit.outings().stream().filter(c -> c.build().equals(build.id())).forEach(c -> atDate(c, onCar, locks));
            zones(build, onCar);
        }
    }

    private void collect(Work work, List<OnCar> onCar, List<Locked> locks) {
        Plan.Placed p = placed.get(work.id());
        if (audit.doneAt(work).isPresent()) {
            return;
        }
        if (work instanceof Job job && job.onCar()) {
            if (job.status() == Status.DONE) {
                job.doneAt().ifPresent(done -> cure(job, OpenHours.minute(shop.now()), minuteUp(done), locks));
            } else if (p != null) {
                onCar.add(new OnCar(job, p, new Span(p.start(), p.end())));
                cure(job, OpenHours.minute(p.end()), OpenHours.minute(p.end()), locks);
            }
        } else if (work instanceof Outwork outwork && outwork.wholeCar() && p != null) {
            locks.add(new Locked(
                    work,
                    new Span(p.start(), p.ready()),
                    Optional.empty(),
                    false,
                    outwork.away().isPresent()));
        } else if (p != null && !(work instanceof Job) && !(work instanceof Outwork)) {
            p.at().forEach(s -> locks.add(new Locked(work, s, Optional.empty(), false, false)));
        }
    }

    private static long minuteUp(java.time.Instant at) {
        return (at.getEpochSecond() + 59) / 60;
    }

    private void cure(Job job, long from, long end, List<Locked> locks) {
        long cured = end + (job.cure().toSeconds() + 59) / 60;
        if (job.cureLock() != CureLock.NOTHING && cured > Math.max(from, now)) {
            Optional<Zone> zone = job.cureLock() == CureLock.ZONE ? Optional.of(job.zone()) : Optional.empty();
            locks.add(new Locked(job, OpenHours.span(from, cured), zone, true, job.status() == Status.DONE));
        }
    }

    private void pairs(List<OnCar> onCar) {
        for (int i = 0; i < onCar.size(); i++) {
            for (int j = i + 1; j < onCar.size(); j++) {
                OnCar a = onCar.get(i);
                OnCar b = onCar.get(j);
                if (!a.span().overlaps(b.span())) {
                    continue;
                }
                if (a.job().wholeCar() || b.job().wholeCar()) {
                    violation("whole car", a.job(), b.job());
                }
                boolean bothStand =
                        a.at().station().isPresent() && b.at().station().isPresent();
                if (bothStand && !a.at().station().equals(b.at().station())) {
                    violation("car at two stations", a.job(), b.job());
                }
            }
        }
    }

    private void locks(List<OnCar> onCar, List<Locked> locks) {
        for (Locked lock : locks) {
            for (OnCar on : onCar) {
                boolean zoneHit = lock.zone().isEmpty()
                        || on.job().wholeCar()
                        || lock.zone().get() == on.job().zone();
                if (zoneHit && lock.span().overlaps(on.span())) {
                    violation(lock.curing() ? "cure" : "car away", lock.by(), on.job());
                }
            }
            for (Locked other : locks) {
                boolean differ = other != lock && !(other.curing() && lock.curing()) && !(other.fact() && lock.fact());
                if (differ && lock.span().overlaps(other.span())) {
                    violation("car away", lock.by(), other.by());
                }
            }
        }
    }

    /** While the car is away for a date, only what it or an earlier one still needs goes on: then it leaves late. */
    private void atDate(Commitment date, List<OnCar> onCar, List<Locked> locks) {
        Span away = new Span(date.due(), date.outing().orElseThrow().back());
        onCar.stream().filter(on -> on.span().overlaps(away)).forEach(on -> atDate(date, on.job()));
        locks.stream()
                .filter(l -> !l.curing() && !l.fact() && l.span().overlaps(away))
                .forEach(l -> atDate(date, l.by()));
    }

    private void atDate(Commitment date, Work work) {
        boolean needed = shop.commitments().stream()
                .filter(c -> c.build().equals(date.build()) && !c.due().isAfter(date.due()))
                .anyMatch(c -> OutlookAudit.isNeeded(c, work));
        if (!needed && AuditCase.back(date) > now) {
            audit.broken("car at a date", work, "goes on while the car is away at " + date.name());
        }
    }

    private void zones(Build build, List<OnCar> onCar) {
        for (OnCar on : onCar) {
            for (Span stretch : on.at().at()) {
                int people = 0;
                for (OnCar other : onCar) {
                    boolean there = other.job().zone() == on.job().zone()
                            && other.at().at().stream()
                                    .anyMatch(s -> !s.from().isAfter(stretch.from())
                                            && stretch.from().isBefore(s.to()));
                    people += there ? other.at().crew().size() : 0;
                }
                if (people > build.zoneLimit(on.job().zone())) {
                    audit.violation(
                            "zone",
                            people + " people in " + on.job().zone() + " of " + build.name() + " at " + stretch.from());
                }
            }
        }
    }

    private void violation(String rule, Work a, Work b) {
        audit.violation(rule, a.name() + " (" + a.id() + ") against " + b.name() + " (" + b.id() + ")");
    }
}
