package galecrest.core.audit;

import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * Checks a plan against every rule, re-derived from the snapshot alone, and lists what breaks them. It shares no code
 * with the planner, so that a mistake in one is seen by the other. Times are reckoned in whole minutes here.
 */
public final class PlanAudit {
    private static final int GRID = 5;
    /** Within so many days a vendor opens twice, if it ever does. */
    private static final int DOORS_DAYS = 60;

    private final ShopSnapshot shop;
    private final Plan plan;
    private final List<Violation> violations = new ArrayList<>();
    private final Map<WorkId, Work> works = new LinkedHashMap<>();
    private final Map<WorkId, Plan.Placed> placed = new LinkedHashMap<>();
    private final Map<PersonId, Person> people;
    private final Map<StationId, Station> stations;
    private final Map<PartId, PartLine> parts;
    private final Map<VendorId, Vendor> vendors;
    private final Map<PersonId, OpenHours> hours = new HashMap<>();
    private final OpenHours shopHours = new OpenHours();
    /** The hours of all weekly shifts, in which margins are measured. */
    private final OpenHours regularHours = new OpenHours();

    private final Set<PinId> broken = new HashSet<>();
    private final long now;

    private PlanAudit(ShopSnapshot shop, Plan plan) {
        this.shop = shop;
        this.plan = plan;
        people = byId(shop.people(), Person::id);
        stations = byId(shop.stations(), Station::id);
        parts = byId(shop.parts(), PartLine::id);
        vendors = byId(shop.vendors(), Vendor::id);
        shop.works().forEach(w -> works.put(w.id(), w));
        plan.brokenPins().forEach(b -> broken.add(b.pin()));
        long minute = OpenHours.minute(shop.now());
        now = minute - Math.floorMod(minute, GRID);
        LocalDate first = shop.now().atZone(shop.zone()).toLocalDate().minusDays(1);
        LocalDate last = lastDay();
        for (Person person : shop.people()) {
            OpenHours his = OpenHours.of(person, shop.zone(), first, last);
            hours.put(person.id(), his);
            shopHours.addAll(his);
            regularHours.addAll(OpenHours.weekly(person.shifts(), List.of(), shop.zone(), first, last));
        }
        if (regularHours.between(Long.MIN_VALUE, Long.MAX_VALUE).isEmpty()) {
            regularHours.addAll(shopHours);
        }
    }

    /** Everything that is wrong with the plan; empty where nothing is. */
    public static List<Violation> violations(ShopSnapshot shop, Plan plan) {
        PlanAudit audit = new PlanAudit(shop, plan);
        audit.audit();
        return List.copyOf(audit.violations);
    }

    private static <T, I> Map<I, T> byId(List<T> things, Function<T, I> id) {
        Map<I, T> map = new HashMap<>();
        things.forEach(t -> map.put(id.apply(t), t));
        return map;
    }

    private LocalDate lastDay() {
        Instant last = shop.now();
        for (Plan.Placed p : plan.placed()) {
            last = p.ready().isAfter(last) ? p.ready() : last;
        }
        for (Commitment c : shop.commitments()) {
            last = c.due().isAfter(last) ? c.due() : last;
        }
        return last.atZone(shop.zone()).toLocalDate().plusDays(40);
    }

    private void broken(String rule, Work work, String detail) {
        violations.add(new Violation(rule, work.name() + " (" + work.id() + "): " + detail));
    }

    private void audit() {
        complete();
        for (Plan.Placed p : placed.values()) {
            Work work = works.get(p.work());
            times(work, p);
            if (work instanceof Job job) {
                job(job, p);
            } else if (work instanceof Outwork outwork) {
                outwork(outwork, p);
            } else {
                runningIn((RunningIn) work, p);
            }
        }
        oneJobAtATime();
        stations();
        new CarAudit(shop, placed, works, violations, now).audit();
        links();
        pins();
        outlooks();
    }

    private void complete() {
        Set<WorkId> not = new HashSet<>();
        for (Plan.Placed p : plan.placed()) {
            Work work = works.get(p.work());
            if (work == null || work.status() == Status.DONE) {
                violations.add(new Violation("complete", p.work() + " is placed but is not open work"));
            } else if (!makesSense(work, p)) {
                not.add(p.work());
            } else if (placed.put(p.work(), p) != null) {
                broken("complete", work, "is placed twice");
            }
        }
        for (Plan.Unplanned u : plan.unplanned()) {
            Work work = works.get(u.work());
            if (work == null
                    || !not.add(u.work())
                    || placed.containsKey(u.work())
                    || u.reason().isBlank()) {
                violations.add(new Violation("complete", u.work() + " is wrongly listed as not planned"));
            }
        }
        for (Work work : shop.works()) {
            boolean listed = placed.containsKey(work.id()) || not.contains(work.id());
            if (work.status() != Status.DONE && !listed) {
                broken("complete", work, "is neither placed nor listed as not planned");
            }
        }
    }

    /** Whether a placement can be looked at at all. */
    private boolean makesSense(Work work, Plan.Placed p) {
        if (!p.start().isBefore(p.end()) || p.ready().isBefore(p.end())) {
            broken("order", work, "start, end and ready are out of order");
            return false;
        }
        if (!people.keySet().containsAll(p.crew())
                || !p.station().map(stations::containsKey).orElse(true)) {
            broken("complete", work, "names people or a station that the shop does not have");
            return false;
        }
        return true;
    }

    private static long at(Instant instant) {
        return OpenHours.minute(instant);
    }

    private static long roundUp(long minutes) {
        return (minutes + GRID - 1) / GRID * GRID;
    }

    private void times(Work work, Plan.Placed p) {
        boolean away = work instanceof Outwork outwork && outwork.away().isPresent();
        if (!away && at(p.start()) < now) {
            broken("now", work, "starts before the present");
        }
        for (Instant time : List.of(p.start(), p.end(), p.ready())) {
            if (Math.floorMod(at(time), GRID) != 0 || time.getEpochSecond() % 60 != 0) {
                broken("grid", work, time + " is off the grid");
            }
        }
        work.notBefore().ifPresent(t -> notBefore("not before", work, p, t));
        work.hold().ifPresent(h -> {
            boolean open = h.until().isPresent() && h.until().get().isAfter(shop.now());
            notBefore("hold", work, p, open ? h.until().get() : tomorrow());
        });
    }

    private Instant tomorrow() {
        return shop.now()
                .atZone(shop.zone())
                .toLocalDate()
                .plusDays(1)
                .atStartOfDay(shop.zone())
                .toInstant();
    }

    private void notBefore(String rule, Work work, Plan.Placed p, Instant bound) {
        boolean away = work instanceof Outwork outwork && outwork.away().isPresent();
        if (!away && p.start().isBefore(bound)) {
            broken(rule, work, "starts at " + p.start() + ", before " + bound);
        }
    }

    private void job(Job job, Plan.Placed p) {
        crew(job, p);
        OpenHours common = together(p, job);
        long from = at(p.start());
        long to = at(p.end());
        List<long[]> expected = common.between(from, to);
        List<long[]> given =
                p.at().stream().map(s -> new long[] {at(s.from()), at(s.to())}).toList();
        if (!same(expected, given)) {
            broken(
                    "shifts",
                    job,
                    "does not use just the hours in which its crew is in between " + p.start() + " and " + p.end());
        }
        long worked = given.stream().mapToLong(s -> s[1] - s[0]).sum();
        if (worked != Math.max(GRID, roundUp(job.toDo().value()))) {
            broken(
                    "work",
                    job,
                    "has " + worked + " min of work planned, not " + job.toDo().value());
        }
        if (given.isEmpty() || given.get(0)[0] != from || given.get(given.size() - 1)[1] != to) {
            broken("work", job, "does not start and end with work");
        }
        if (job.oneGo() && given.size() != 1) {
            broken("one go", job, "is split");
        }
        long cure = roundUp((job.cure().toSeconds() + 59) / 60);
        if (at(p.ready()) != to + cure) {
            broken("cure", job, "is not ready just when it has cured");
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
        OpenHours common = OpenHours.always(now, at(p.end()) + 60);
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
            broken("crew", job, "has a person twice");
        }
        if (going) {
            if (!Set.copyOf(p.crew()).equals(Set.copyOf(job.started().get().by()))) {
                broken("crew", job, "goes on with others than started it");
            }
        } else if (p.crew().size() != job.crew().size() || !fills(job, p.crew(), new HashSet<>(), 0)) {
            broken("crew", job, p.crew() + " do not fill its places");
        }
        if (job.stationKind().isPresent() != p.station().isPresent()) {
            broken("station", job, "has no station, or one it does not need");
        }
        p.station().ifPresent(id -> {
            boolean stays = going || job.started().flatMap(Job.Started::station).isPresent();
            if (!stations.get(id).kind().equals(job.stationKind().orElse("")) && !stays) {
                broken("station", job, "is at a " + stations.get(id).kind());
            }
        });
    }

    private boolean fills(Job job, List<PersonId> crew, Set<PersonId> used, int place) {
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

    private void part(Job job, Plan.Placed p, PartLine part) {
        long ready = partReady(part);
        if (part.pairedWith().isPresent() && part.pairOverride().isEmpty()) {
            ready = Math.max(ready, partReady(parts.get(part.pairedWith().get())));
        }
        if (at(p.start()) < ready) {
            broken("part", job, "starts before " + part.name() + " is here and inspected");
        }
    }

    private long partReady(PartLine part) {
        return switch (part.state()) {
            case ACCEPTED, FITTED, FITTED_FOR_NOW -> Long.MIN_VALUE;
            case ARRIVED, INSPECTED ->
                shopHours.after(now, roundUp(part.inspection().value()));
            case REFUSED, RETURNED, WANTED, SPECIFIED, QUOTED, ORDERED, SHIPPED ->
                inspected(
                        part,
                        shop.expected(part)
                                .map(a -> expected(a.likely(), a.high()))
                                .orElse(now + shop.rules().unknownArrival().toMinutes()));
        };
    }

    private long inspected(PartLine part, long arrives) {
        return shopHours.after(roundUp(arrives), roundUp(part.inspection().value()));
    }

    private long expected(Instant likely, Instant high) {
        Instant when = likely.isAfter(shop.now()) ? likely : high.isAfter(shop.now()) ? high : tomorrow();
        return (when.getEpochSecond() + 59) / 60;
    }

    private void outwork(Outwork work, Plan.Placed p) {
        if (!p.crew().isEmpty() || p.station().isPresent()) {
            broken("outwork", work, "takes people or a station of the shop");
        }
        long leaves = at(p.start());
        long back = at(p.end());
        if (at(p.ready()) != shopHours.after(back, roundUp(work.inspection().value()))) {
            broken("outwork", work, "is not ready just when it has been looked over");
        }
        if (work.away().isPresent()) {
            var expected = shop.expected(work).orElseThrow();
            if (back != roundUp(expected(expected.likely(), expected.high()))) {
                broken("outwork", work, "is back at another time than expected");
            }
            return;
        }
        long out = roundUp(work.transportOut().toMinutes());
        long home = roundUp(work.transportBack().toMinutes());
        boolean bySlot = work.slot().isPresent() && !p.slotMissed();
        if (bySlot) {
            var slot = work.slot().get();
            if (leaves + work.transportOut().toMinutes() > at(slot.from())
                    || back < at(slot.to()) + work.transportBack().toMinutes()) {
                broken("slot", work, "misses its slot without saying so");
            }
        } else {
            if (!shopHours.isOpen(leaves)) {
                broken("outwork", work, "leaves when nobody is in the shop");
            }
            shutDoor(work, leaves, out);
            long done = vendorDone(work, leaves + out);
            if (back != done + home) {
                broken("outwork", work, "is back at another time than the vendor's calendar gives");
            }
        }
    }

    /** What arrives at a vendor who is shut could not have left so as to arrive at either of the next two openings. */
    private void shutDoor(Outwork work, long leaves, long out) {
        var vendor = vendors.get(work.vendor());
        LocalDate first = Instant.ofEpochSecond((leaves + out) * 60)
                .atZone(shop.zone())
                .toLocalDate()
                .minusDays(1);
        OpenHours open =
                OpenHours.weekly(vendor.hours(), vendor.closures(), shop.zone(), first, first.plusDays(DOORS_DAYS));
        long arrives = leaves + out;
        if (open.isOpen(arrives)) {
            return;
        }
        for (int door = 0; door < 2; door++) {
            var next = open.stretchAfter(arrives);
            if (next.isEmpty()) {
                return;
            }
            long opens = roundUp(next.get()[0]);
            for (long at = opens; at < next.get()[1]; at += GRID) {
                if (shopHours.isOpen(at - out)) {
                    broken("outwork", work, "arrives at a vendor who is shut; it could leave later");
                    return;
                }
            }
            arrives = next.get()[1];
        }
    }

    /** Closing time of the vendor's working day that lies the turnaround after the day on which it is brought. */
    private long vendorDone(Outwork work, long arrives) {
        var vendor = vendors.get(work.vendor());
        LocalDate day = Instant.ofEpochSecond(arrives * 60).atZone(shop.zone()).toLocalDate();
        int toGo = work.turnaround().likely();
        for (int guard = 0; guard < 2000; guard++, day = day.plusDays(1)) {
            LocalDate date = day;
            if (vendor.closures().stream().anyMatch(c -> !date.isBefore(c.from()) && !date.isAfter(c.to()))) {
                continue;
            }
            long closes = vendor.hours().stream()
                    .filter(s -> s.day() == date.getDayOfWeek())
                    .mapToLong(s ->
                            OpenHours.minute((s.end().equals(java.time.LocalTime.MIDNIGHT) ? date.plusDays(1) : date)
                                    .atTime(s.end())
                                    .atZone(shop.zone())
                                    .toInstant()))
                    .max()
                    .orElse(Long.MIN_VALUE);
            if (closes > arrives && toGo-- == 0) {
                return roundUp(closes);
            }
        }
        return Long.MAX_VALUE;
    }

    private void runningIn(RunningIn work, Plan.Placed p) {
        if (p.crew().size() != 1
                || !people.get(p.crew().get(0))
                        .can(work.driver().skill(), work.driver().least())) {
            broken("running-in", work, "has no able driver");
            return;
        }
        if (p.at().size() != work.drives()) {
            broken("running-in", work, "has " + p.at().size() + " drives, not " + work.drives());
        }
        LocalDate before = LocalDate.MIN;
        for (var drive : p.at()) {
            LocalDate day = drive.from().atZone(shop.zone()).toLocalDate();
            long from = at(drive.from());
            long to = at(drive.to());
            if (!day.isAfter(before)) {
                broken("running-in", work, "has two drives on " + day);
            }
            if (to - from != roundUp(work.perDay().value())
                    || hours.get(p.crew().get(0)).minutesBetween(from, to) != to - from) {
                broken("running-in", work, "has a drive of the wrong length or outside the driver's hours");
            }
            before = day;
        }
    }

    private void oneJobAtATime() {
        Map<PersonId, List<long[]>> busy = new HashMap<>();
        for (Plan.Placed p : placed.values()) {
            for (PersonId person : p.crew()) {
                p.at().forEach(s -> busy.computeIfAbsent(person, k -> new ArrayList<>())
                        .add(new long[] {at(s.from()), at(s.to())}));
            }
        }
        busy.forEach((person, stretches) -> {
            stretches.sort((a, b) -> Long.compare(a[0], b[0]));
            for (int i = 1; i < stretches.size(); i++) {
                if (stretches.get(i)[0] < stretches.get(i - 1)[1]) {
                    violations.add(new Violation("one job at a time", person + " is on two at once"));
                }
            }
        });
    }

    private void stations() {
        List<Plan.Placed> all =
                placed.values().stream().filter(p -> p.station().isPresent()).toList();
        for (Plan.Placed a : all) {
            for (Plan.Placed b : all) {
                boolean clash = a.start().isBefore(b.end()) && b.start().isBefore(a.end());
                if (clash
                        && a.station().equals(b.station())
                        && !works.get(a.work())
                                .build()
                                .equals(works.get(b.work()).build())) {
                    broken("station", works.get(a.work()), "shares its station with another car");
                }
            }
        }
    }

    private void links() {
        Set<galecrest.core.work.LinkId> atRisk = new HashSet<>(plan.startedAtRisk());
        for (Link link : shop.links()) {
            Work first = works.get(link.first());
            Work then = works.get(link.then());
            Plan.Placed after = placed.get(link.then());
            boolean startsLater = link.type() != Link.Type.FINISH_FINISH;
            boolean away = then instanceof Outwork outwork && outwork.away().isPresent();
            if (after == null || away || startsLater && then.status() == Status.STARTED) {
                continue;
            }
            Plan.Placed before = placed.get(link.first());
            boolean holds;
            if (first.status() == Status.DONE) {
                holds = !startsLater || at(after.start()) >= doneBound(first, link);
            } else if (before == null) {
                holds = false;
            } else {
                long from =
                        switch (link.type()) {
                            case FINISH_START -> at(before.ready());
                            case START_START -> at(before.start());
                            case FINISH_FINISH -> at(before.end());
                        };
                holds = at(startsLater ? after.start() : after.end()) >= lagged(from, link);
            }
            boolean covered = link.risk().isPresent() && (atRisk.contains(link.id()) || first.status() == Status.DONE);
            if (!holds && !covered) {
                broken("link", then, "does not wait for " + first.name());
            }
            if (holds && atRisk.contains(link.id())) {
                broken("at risk", then, "is not at risk by its link to " + first.name());
            }
        }
    }

    private long doneBound(Work first, Link link) {
        long done = at(first.doneAt().orElse(shop.now()));
        long cure = link.type() == Link.Type.FINISH_START && first instanceof Job job
                ? job.cure().toMinutes()
                : 0;
        return link.lag().working() ? lagged(Math.max(done + cure, now), link) : lagged(done + cure, link);
    }

    private long lagged(long from, Link link) {
        long lag = roundUp(link.lag().minutes().value());
        return link.lag().working() ? shopHours.after(from, lag) : from + lag;
    }

    private void pins() {
        for (Pin pin : shop.pins()) {
            Work work = works.get(pin.work());
            Plan.Placed p = placed.get(pin.work());
            if (work.status() == Status.DONE || broken.contains(pin.id())) {
                continue;
            }
            if (p == null) {
                boolean listed =
                        plan.unplanned().stream().anyMatch(u -> u.work().equals(pin.work()));
                if (!listed) {
                    broken("pin", work, "is pinned and not in the plan");
                }
                continue;
            }
            boolean holds;
            if (pin instanceof Pin.ToPerson to) {
                holds = p.crew().contains(to.person());
            } else if (pin instanceof Pin.ToStation to) {
                holds = p.station().isPresent() && p.station().get().equals(to.station());
            } else if (pin instanceof Pin.NotBefore notBefore) {
                holds = !p.start().isBefore(notBefore.at());
            } else if (pin instanceof Pin.After order) {
                Plan.Placed first = placed.get(order.first());
                boolean open = works.get(order.first()).status() != Status.DONE && work.status() != Status.STARTED;
                holds = !open || first != null && !p.start().isBefore(first.ready());
            } else {
                holds = at(p.start()) == roundUp(at(((Pin.Exactly) pin).at()));
            }
            if (!holds) {
                broken("pin", work, "does not hold its pin " + pin + " and does not say so");
            }
        }
    }

    private void outlooks() {
        for (Commitment commitment : shop.commitments()) {
            var outlook = plan.outlooks().stream()
                    .filter(o -> o.commitment().equals(commitment.id()))
                    .findFirst();
            List<Work> due = shop.works().stream()
                    .filter(commitment::needs)
                    .filter(w -> w.status() != Status.DONE)
                    .toList();
            boolean missing = due.stream().anyMatch(w -> !placed.containsKey(w.id()));
            if (outlook.isEmpty() || outlook.get().margin().isPresent() == missing) {
                violations.add(new Violation("outlook", commitment.name() + " has no or a wrong outlook"));
                continue;
            }
            if (missing) {
                continue;
            }
            long finish = due.stream()
                    .mapToLong(w -> at(placed.get(w.id()).ready()))
                    .max()
                    .orElse(now);
            long dueAt = Math.floorDiv(at(commitment.due()), (long) GRID) * GRID;
            long margin = dueAt >= finish
                    ? regularHours.minutesBetween(Math.max(now, finish), dueAt)
                    : due.isEmpty() ? 0 : -Math.max(GRID, regularHours.minutesBetween(Math.max(now, dueAt), finish));
            if (at(outlook.get().finish().orElseThrow()) != finish
                    || outlook.get().margin().orElseThrow().value() != margin) {
                violations.add(new Violation(
                        "outlook",
                        commitment.name() + " has a margin of "
                                + outlook.get().margin().orElseThrow().value() + " min, not " + margin));
            }
        }
    }
}
