package galecrest.core.plan;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.DateStyle;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.vendor.Vendor;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Outwork;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Says what a plan says in sentences, with the names of the shop and times as people say them. */
public final class ReasonText {
    private final ShopSnapshot shop;
    private final Map<WorkId, Work> works = new HashMap<>();
    private final Map<BuildId, String> cars = new HashMap<>();
    private final Map<PersonId, String> people = new HashMap<>();
    private final Map<StationId, String> stations = new HashMap<>();
    private final Map<PartId, String> parts = new HashMap<>();

    /** Words with the names and the local time of a shop. */
    public ReasonText(ShopSnapshot shop) {
        this.shop = shop;
        shop.works().forEach(w -> works.put(w.id(), w));
        for (Build build : shop.builds()) {
            cars.put(build.id(), build.called());
        }
        for (Person person : shop.people()) {
            people.put(person.id(), person.name());
        }
        for (Station station : shop.stations()) {
            stations.put(station.id(), station.name());
        }
        for (PartLine part : shop.parts()) {
            parts.put(part.id(), part.name());
        }
    }

    private DateStyle says() {
        return shop.rules().says();
    }

    /** A time as people say it: "14:00" today, "Thu 14:00" this week, "Thu 3 Dec 14:00" later. */
    public String time(Instant at) {
        ZonedDateTime local = at.atZone(shop.zone());
        ZonedDateTime now = shop.now().atZone(shop.zone());
        if (local.toLocalDate().equals(now.toLocalDate())) {
            return says().time(local);
        }
        boolean thisWeek = local.isAfter(now) && local.isBefore(now.plusDays(6));
        return thisWeek ? says().weekday(local) : says().date(local);
    }

    /** A day as people say it: "Thu 3 Dec". */
    public String day(Instant at) {
        return says().day(at.atZone(shop.zone()));
    }

    /** What moved, with its car. */
    public String moved(PlanDifference.Moved m) {
        return car(m.work()) + ": " + work(m.work()) + " "
                + m.before().map(b -> "from " + time(b) + " ").orElse("new, ")
                + m.after().map(a -> "to " + time(a)).orElse("no longer planned")
                + (m.otherCrew() ? ", by others" : "");
    }

    /** What holds a piece of work, naming it: "Fit exhaust: the part flange is ready Wed 12:00". */
    public String held(WorkId id, Because because) {
        Work work = works.get(id);
        if (work instanceof Outwork outwork && outwork.away().isPresent()) {
            String vendor = shop.vendors().stream()
                    .filter(v -> v.id().equals(outwork.vendor()))
                    .map(v -> v.name())
                    .findFirst()
                    .orElse("?");
            return work.name() + " is at " + vendor + ", back "
                    + time(outwork.away().get().back().likely());
        }
        return work(id) + ": " + reason(because);
    }

    /** Why work starts no sooner, as the end of the sentence "… waits because …". */
    public String reason(Because because) {
        if (because instanceof Because.Nothing) {
            return "nothing holds it";
        } else if (because instanceof Because.Shift) {
            return "the people it takes are not in before";
        } else if (because instanceof Because.NotBefore b) {
            return "it is not wanted before " + time(b.at());
        } else if (because instanceof Because.Pinned) {
            return "it is pinned";
        } else if (because instanceof Because.Told) {
            return "the plan has it then, and nothing else holds it";
        } else if (because instanceof Because.Held b) {
            return "it is held: " + b.note() + " (expected " + time(b.assumedUntil()) + ")";
        } else if (because instanceof Because.Part b) {
            String when = b.assumed() ? "has no date, taken as " + time(b.ready()) : "is ready " + time(b.ready());
            return "the part " + parts.getOrDefault(b.part(), "?") + " " + when;
        } else if (because instanceof Because.After b) {
            return after(b);
        } else if (because instanceof Because.PersonBusy b) {
            return people.get(b.person()) + " is on " + work(b.with()) + " until " + time(b.until());
        } else if (because instanceof Because.PersonAway b) {
            return people.get(b.person()) + " is away until " + time(b.until());
        } else if (because instanceof Because.StationTaken b) {
            return stations.get(b.station()) + " is taken by " + car(b.by()) + " until " + time(b.until());
        } else if (because instanceof Because.CarElsewhere b) {
            return "the car stands elsewhere for " + work(b.at()) + " until " + time(b.until());
        } else if (because instanceof Because.ZoneFull b) {
            return "no one else fits in the " + zone(b) + " beside " + work(b.with()) + " until " + time(b.until());
        } else if (because instanceof Because.WholeCar b) {
            return "the car is taken by " + work(b.with()) + " until " + time(b.until());
        } else if (because instanceof Because.CuresInto b) {
            return "it would cure into " + work(b.with()) + ", which is at the car until " + time(b.until());
        } else if (because instanceof Because.Curing b) {
            return work(b.after()) + " cures until " + time(b.until());
        } else if (because instanceof Because.VendorShut b) {
            return shop.vendor(b.vendor()).map(Vendor::name).orElse("the vendor") + " takes nothing in before "
                    + time(b.opens());
        } else if (because instanceof Because.CarAway b) {
            return "the car is away for " + work(b.at()) + " until " + time(b.until());
        } else if (because instanceof Because.AtDate b) {
            return b.station()
                            .map(s -> stations.get(s) + " is away with " + carOf(b.date()))
                            .orElse("the car is away")
                    + " at " + date(b.date()) + " until " + time(b.until());
        } else if (because instanceof Because.DoneThere b) {
            return "it is done at " + date(b.date());
        }
        return "the slot is booked for " + time(((Because.Slot) because).from());
    }

    /** Who can make it go on that what is bound so starts. */
    public String release(Because because) {
        if (because instanceof Because.Part b) {
            Optional<PartLine> line =
                    shop.parts().stream().filter(p -> p.id().equals(b.part())).findFirst();
            String from = line.flatMap(PartLine::vendor)
                    .flatMap(shop::vendor)
                    .map(ReasonText::reached)
                    .orElse("");
            boolean toOrder = line.map(p -> p.state().toOrder()).orElse(false);
            return toOrder
                    ? from.isEmpty() ? "whoever orders it" : "whoever orders it from " + from
                    : line.map(p -> p.state().toInspect()).orElse(false)
                            ? "whoever inspects it"
                            : from.isEmpty() ? "who brings it" : from;
        } else if (because instanceof Because.Held b) {
            return b.reason() == ReasonTag.DECIDE ? "the customer" : "the lead of the build";
        } else if (because instanceof Because.After b) {
            return b.outside() ? vendorOf(b.work()) : "nobody: it must cure";
        } else if (because instanceof Because.VendorShut b) {
            return shop.vendor(b.vendor()).map(ReasonText::reached).orElse("the vendor");
        } else if (because instanceof Because.CarAway b) {
            return vendorOf(b.at());
        } else if (because instanceof Because.Curing) {
            return "nobody: it must cure";
        } else if (because instanceof Because.PersonAway) {
            return "the manager: another hand, or an extra shift";
        } else if (because instanceof Because.PersonBusy b) {
            return person(b.person());
        }
        return "the manager";
    }

    private String vendorOf(WorkId id) {
        return works.get(id) instanceof Outwork outwork
                ? shop.vendor(outwork.vendor()).map(ReasonText::reached).orElse("the vendor")
                : "the manager";
    }

    private static String reached(Vendor vendor) {
        return vendor.phone().isBlank() ? vendor.name() : vendor.name() + ", " + vendor.phone();
    }

    private String after(Because.After b) {
        String name = work(b.work());
        if (b.outside()) {
            return "it waits for " + name + " to come back";
        }
        return b.curing() ? name + " must cure first" : "it comes after " + name + (b.lag() ? " and a wait" : "");
    }

    private String date(CommitmentId id) {
        return shop.commitments().stream()
                .filter(c -> c.id().equals(id))
                .map(Commitment::name)
                .findFirst()
                .orElse("a date");
    }

    private String carOf(CommitmentId id) {
        return shop.commitments().stream()
                .filter(c -> c.id().equals(id))
                .map(c -> build(c.build()))
                .findFirst()
                .orElse("a car");
    }

    private static String zone(Because.ZoneFull b) {
        return b.zone().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The name of a piece of work; "?" where it is gone. */
    public String work(WorkId id) {
        return Optional.ofNullable(works.get(id)).map(Work::name).orElse("?");
    }

    /** The name of a part; "?" where it is gone. */
    public String part(PartId id) {
        return parts.getOrDefault(id, "?");
    }

    /** The name of a person; "?" where nobody has that id. */
    public String person(PersonId id) {
        return people.getOrDefault(id, "?");
    }

    /** What a build is called; "?" where it is gone. */
    public String build(BuildId id) {
        return cars.getOrDefault(id, "?");
    }

    private String car(WorkId id) {
        return Optional.ofNullable(works.get(id)).map(w -> cars.get(w.build())).orElse("?");
    }

    /** The chain of a commitment in a sentence; {@code placed} is where the plan has the work. */
    public String chain(Commitment commitment, Plan.Outlook outlook, Map<WorkId, Plan.Placed> placed) {
        String due = commitment.name() + ", " + time(commitment.due()) + ", ";
        if (!outlook.missing().isEmpty()) {
            return due + "cannot be promised: " + work(outlook.missing().get(0)) + " cannot be planned.";
        }
        long kept = works.values().stream()
                .mapToLong(w -> commitment.allowance(w).value())
                .sum();
        String margin = due + "has " + DurationText.signed(outlook.margin().orElse(Minutes.ZERO)) + " of margin"
                + (kept > 0 ? " with " + DurationText.of(Minutes.of(kept)) + " kept for what may be found" : "");
        List<String> links = new ArrayList<>();
        List<String> run = new ArrayList<>();
        for (int i = outlook.chain().size() - 1; i >= 0; i--) {
            WorkId id = outlook.chain().get(i);
            if (!placed.containsKey(id)) {
                // A plan that people were told knows nothing of work that came since.
                continue;
            }
            Because because = placed.get(id).because();
            if (because instanceof Because.After a && !a.outside() && !a.curing() && !a.lag()) {
                run.add(work(id));
                continue;
            }
            addRun(links, run);
            boolean going = because instanceof Because.Nothing || because instanceof Because.Shift;
            links.add(
                    work(id) + (going ? " takes until " + time(placed.get(id).ready()) : " waits: " + reason(because)));
        }
        addRun(links, run);
        return links.isEmpty() ? margin + "; all of it is done." : margin + ": " + String.join(", then ", links) + ".";
    }

    /** Work that just follows in its order is told as a run, since nothing but its length can be acted on. */
    private static void addRun(List<String> links, List<String> run) {
        if (run.size() <= 2) {
            links.addAll(run);
        } else {
            links.add(run.size() + " jobs in a row up to " + run.get(run.size() - 1));
        }
        run.clear();
    }
}
