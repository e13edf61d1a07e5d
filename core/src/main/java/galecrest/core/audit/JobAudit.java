package galecrest.core.audit;

import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.work.Commitment;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Rules of one job or drive: its time, crew, station, hours and parts. */
final class JobAudit {
    private final AuditCase audit;
    private final ExpectedArrivals arrivals;
    private final ShopSnapshot shop;
    private final Map<PersonId, Person> people;
    private final Map<StationId, Station> stations;
    private final Map<PartId, PartLine> parts;
    private final Map<PersonId, OpenHours> hours;
    private final OpenHours shopHours;
    private final long now;

    JobAudit(AuditCase audit) {
        this.audit = audit;
        arrivals = new ExpectedArrivals(audit);
        shop = audit.shop;
        people = audit.people;
        stations = audit.stations;
        parts = audit.parts;
        hours = audit.hours;
        shopHours = audit.shopHours;
        now = audit.now;
    }

    void check(Work work, Plan.Placed p) {
        times(work, p);
        Optional<Commitment> date = audit.doneAt(work);
        if (date.isPresent()) {
            there(date.get(), work, p);
        } else if (work instanceof Job job) {
            job(job, p);
        } else if (work instanceof RunningIn drives) {
            runningIn(drives, p);
        }
    }

    /** Work at a date is done while the car is there, by nobody of the shop. */
    private void there(Commitment date, Work work, Plan.Placed p) {
        long leaves = Math.max(now, AuditCase.leaves(date));
        long back = AuditCase.back(date);
        boolean free = p.crew().isEmpty() && p.station().isEmpty() && p.at().size() == 1;
        if (!free
                || AuditCase.at(p.start()) < leaves
                || AuditCase.at(p.end()) - AuditCase.at(p.start()) != back - leaves) {
            audit.broken("done there", work, "does not take just the time at " + date.name());
        }
    }

    private void times(Work work, Plan.Placed p) {
        boolean away = work instanceof Outwork outwork && outwork.away().isPresent();
        if (!away && AuditCase.at(p.start()) < now) {
            audit.broken("now", work, "starts before the present");
        }
        for (Instant time : List.of(p.start(), p.end(), p.ready())) {
            if (Math.floorMod(AuditCase.at(time), AuditCase.GRID) != 0 || time.getEpochSecond() % 60 != 0) {
                audit.broken("grid", work, time + " is off the grid");
            }
        }
        work.notBefore().ifPresent(t -> notBefore("not before", work, p, t));
        if (work.status() == Status.TODO) {
            audit.aside(work).ifPresent(t -> notBefore("parked", work, p, t));
        }
        work.hold().flatMap(Hold::part).ifPresent(id -> part(work, p, parts.get(id)));
        work.hold().filter(h -> h.part().isEmpty()).ifPresent(h -> {
            boolean open = h.until().isPresent() && h.until().get().isAfter(shop.now());
            notBefore("hold", work, p, open ? h.until().get() : audit.tomorrow());
        });
    }

    private void notBefore(String rule, Work work, Plan.Placed p, Instant bound) {
        boolean away = work instanceof Outwork outwork && outwork.away().isPresent();
        if (!away && p.start().isBefore(bound)) {
            audit.broken(rule, work, "starts at " + p.start() + ", before " + bound);
        }
    }

    private void job(Job job, Plan.Placed p) {
        crew(job, p);
        OpenHours common = together(p, job);
        long from = AuditCase.at(p.start());
        long to = AuditCase.at(p.end());
        List<long[]> expected = common.between(from, to);
        List<long[]> given = p.at().stream()
                .map(s -> new long[] {AuditCase.at(s.from()), AuditCase.at(s.to())})
                .toList();
        if (!same(expected, given)) {
            audit.broken(
                    "shifts",
                    job,
                    "does not use just the hours in which its crew is in between " + p.start() + " and " + p.end());
        }
        long worked = given.stream().mapToLong(s -> s[1] - s[0]).sum();
        if (worked != Math.max(AuditCase.GRID, AuditCase.roundUp(job.toDo().value()))) {
            audit.broken(
                    "work",
                    job,
                    "has " + worked + " min of work planned, not " + job.toDo().value());
        }
        if (given.isEmpty() || given.get(0)[0] != from || given.get(given.size() - 1)[1] != to) {
            audit.broken("work", job, "does not start and end with work");
        }
        if (job.oneGo() && given.size() != 1) {
            audit.broken("one go", job, "is split");
        }
        long cure = AuditCase.roundUp((job.cure().toSeconds() + 59) / 60);
        if (AuditCase.at(p.ready()) != to + cure) {
            audit.broken("cure", job, "is not ready just when it has cured");
        }
        if (job.status() == Status.TODO) {
            job.parts().forEach(id -> part(job, p, parts.get(id)));
        }
    }

    private static boolean same(List<long[]> a, List<long[]> b) {
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (a.get(i)[0] != b.get(i)[0] || a.get(i)[1] != b.get(i)[1]) {
                return false;
            }
        }
        return true;
    }

    private OpenHours together(Plan.Placed p, Job job) {
        OpenHours common = OpenHours.always(now, AuditCase.at(p.end()) + 60);
        for (PersonId person : p.crew()) {
            common = common.common(hours.get(person));
        }
        return p.station().isEmpty()
                ? common
                : common.without(stations.get(p.station().get()).closures(), shop.zone());
    }

    private void crew(Job job, Plan.Placed p) {
        boolean going = job.started().isPresent() && !job.started().get().by().isEmpty();
        if (new HashSet<>(p.crew()).size() != p.crew().size()) {
            audit.broken("crew", job, "has a person twice");
        }
        if (going) {
            if (!Set.copyOf(p.crew()).equals(Set.copyOf(job.started().get().by()))) {
                audit.broken("crew", job, "goes on with others than started it");
            }
        } else if (p.crew().size() != job.crew().size() || !fills(job, p.crew(), new HashSet<>(), 0)) {
            audit.broken("crew", job, p.crew() + " do not fill its places");
        }
        if (job.stationKind().isPresent() != p.station().isPresent()) {
            audit.broken("station", job, "has no station, or one it does not need");
        }
        p.station().ifPresent(id -> {
            boolean stays = going || job.started().flatMap(Job.Started::station).isPresent();
            if (!stations.get(id).kind().equals(job.stationKind().orElse("")) && !stays) {
                audit.broken("station", job, "is at a " + stations.get(id).kind());
            }
        });
    }

    boolean fills(Job job, List<PersonId> crew, Set<PersonId> used, int place) {
        if (place == job.crew().size()) {
            return true;
        }
        var wanted = job.crew().get(place);
        for (PersonId person : crew) {
            if (people.get(person).can(wanted.skill(), wanted.least()) && used.add(person)) {
                if (fills(job, crew, used, place + 1)) {
                    return true;
                }
                used.remove(person);
            }
        }
        return false;
    }

    private void part(Work work, Plan.Placed p, PartLine part) {
        long ready = partReady(part);
        if (part.pairedWith().isPresent() && part.pairOverride().isEmpty()) {
            ready = Math.max(ready, partReady(parts.get(part.pairedWith().get())));
        }
        if (AuditCase.at(p.start()) < ready) {
            audit.broken("part", work, "starts before " + part.name() + " is here and inspected");
        }
    }

    private long partReady(PartLine part) {
        return switch (part.state()) {
            case ACCEPTED, FITTED, FITTED_FOR_NOW -> Long.MIN_VALUE;
            case ARRIVED, INSPECTED ->
                shopHours.after(now, AuditCase.roundUp(part.inspection().value()));
            case REFUSED, RETURNED, WANTED, SPECIFIED, QUOTED, ORDERED, SHIPPED -> inspected(part, arrivals.part(part));
        };
    }

    private long inspected(PartLine part, long arrives) {
        return shopHours.after(
                AuditCase.roundUp(arrives), AuditCase.roundUp(part.inspection().value()));
    }

    private void runningIn(RunningIn work, Plan.Placed p) {
        if (p.crew().size() != 1
                || !people.get(p.crew().get(0))
                        .can(work.driver().skill(), work.driver().least())) {
            audit.broken("running-in", work, "has no able driver");
            return;
        }
        if (p.at().size() != work.drives()) {
            audit.broken("running-in", work, "has " + p.at().size() + " drives, not " + work.drives());
        }
        LocalDate before = LocalDate.MIN;
        for (var drive : p.at()) {
            LocalDate day = drive.from().atZone(shop.zone()).toLocalDate();
            long from = AuditCase.at(drive.from());
            long to = AuditCase.at(drive.to());
            if (!day.isAfter(before)) {
                audit.broken("running-in", work, "has two drives on " + day);
            }
            if (to - from != AuditCase.roundUp(work.perDay().value())
                    || hours.get(p.crew().get(0)).minutesBetween(from, to) != to - from) {
                audit.broken("running-in", work, "has a drive of the wrong length or outside the driver's hours");
            }
            before = day;
        }
    }
}
