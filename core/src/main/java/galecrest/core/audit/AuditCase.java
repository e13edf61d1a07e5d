package galecrest.core.audit;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Commitment;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.PinId;
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
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** What is audited, prepared: the shop and the plan by their names, the hours of people, and what was found wrong. */
final class AuditCase {
    static final int GRID = 5;

    final ShopSnapshot shop;
    final Plan plan;
    final Map<WorkId, Work> works = new LinkedHashMap<>();
    /** What can be looked at: filled by {@link CompletenessAudit}. */
    final Map<WorkId, Plan.Placed> placed = new LinkedHashMap<>();

    final Map<PersonId, Person> people;
    final Map<StationId, Station> stations;
    final Map<PartId, PartLine> parts;
    final Map<VendorId, Vendor> vendors;
    final Map<PersonId, OpenHours> hours = new HashMap<>();
    final OpenHours shopHours = new OpenHours();
    /** The hours of all weekly shifts, in which margins are measured. */
    final OpenHours regularHours = new OpenHours();

    final Set<PinId> broken = new HashSet<>();
    final List<Violation> violations = new ArrayList<>();
    /** The present, in minutes, at the beginning of its slot. */
    final long now;

    AuditCase(ShopSnapshot shop, Plan plan) {
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
            for (Commitment date : outings()) {
                if (date.outing().orElseThrow().crew().contains(person.id())) {
                    his.remove(leaves(date), back(date));
                }
            }
            hours.put(person.id(), his);
            shopHours.addAll(his);
            regularHours.addAll(OpenHours.weekly(person.shifts(), List.of(), shop.zone(), first, last));
        }
        if (regularHours.between(Long.MIN_VALUE, Long.MAX_VALUE).isEmpty()) {
            regularHours.addAll(shopHours);
        }
    }

    /** Until when the car of the work is put aside: for ever, where nobody has said; empty where it is worked on. */
    Optional<Instant> aside(Work work) {
        return aside(work.build());
    }

    Optional<Instant> aside(BuildId build) {
        return shop.builds().stream()
                .filter(b -> b.id().equals(build))
                .flatMap(b -> b.parked().stream())
                .map(p -> p.until().orElse(Instant.MAX))
                .filter(until -> until.isAfter(shop.now()))
                .findFirst();
    }

    /** Whether the date is of a car that has left the plan, or all that it names has. */
    boolean isGone(Commitment commitment) {
        boolean named = !commitment.works().isEmpty()
                && commitment.works().stream().map(works::get).allMatch(this::left);
        return named || aside(commitment.build()).map(Instant.MAX::equals).orElse(false);
    }

    /** The dates that a car leaves for. */
    List<Commitment> outings() {
        return shop.commitments().stream()
                .filter(c -> c.outing().isPresent() && c.outing().get().back().isAfter(c.due()))
                .filter(c -> !isGone(c))
                .toList();
    }

    /** When the car leaves for a date, and when it is back, in minutes of the grid. */
    static long leaves(Commitment date) {
        return Math.floorDiv(at(date.due()), (long) GRID) * GRID;
    }

    static long back(Commitment date) {
        Instant back = date.outing().orElseThrow().back();
        return Math.floorDiv(back.getEpochSecond() + GRID * 60 - 1, GRID * 60L) * GRID;
    }

    /** The date that the work is done at, while car and crew are there; empty where it is done in the shop. */
    Optional<Commitment> doneAt(Work work) {
        return outings().stream()
                .filter(c -> c.outing().orElseThrow().there().contains(work.id()))
                .filter(c -> back(c) > now)
                .findFirst();
    }

    /** Whether the work has left the plan with its car. */
    boolean left(Work work) {
        return aside(work).map(Instant.MAX::equals).orElse(false);
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

    /** When a date must be met, in minutes: a promise some regular hours early while something may still be found. */
    long dueAt(Commitment commitment) {
        long due = Math.floorDiv(at(commitment.due()), (long) GRID) * GRID;
        if (commitment.kind() != Commitment.Kind.PROMISE || due <= now) {
            return due;
        }
        long kept = 0;
        for (Work work : shop.works()) {
            boolean open = work.status() != Status.DONE && !left(work);
            if (open && OutlookAudit.isNeeded(commitment, work) && work instanceof Job job) {
                Findings found = job.findings().orElse(new Findings(0, Minutes.ZERO));
                kept += Math.round(found.chance() * found.work().value());
            }
        }
        kept = roundUp(kept);
        long at = due;
        while (at > now && regularHours.minutesBetween(at, due) < kept) {
            at -= GRID;
        }
        return at;
    }

    void broken(String rule, Work work, String detail) {
        violation(rule, work.name() + " (" + work.id() + "): " + detail);
    }

    void violation(String rule, String detail) {
        violations.add(new Violation(rule, detail));
    }

    static long at(Instant instant) {
        return OpenHours.minute(instant);
    }

    static long roundUp(long minutes) {
        return (minutes + GRID - 1) / GRID * GRID;
    }

    Instant tomorrow() {
        return shop.now()
                .atZone(shop.zone())
                .toLocalDate()
                .plusDays(1)
                .atStartOfDay(shop.zone())
                .toInstant();
    }
}
