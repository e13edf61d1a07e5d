package galecrest.core.plan;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Station;
import galecrest.core.time.Arrival;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Commitment;
import galecrest.core.work.Link;
import galecrest.core.work.Outing;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * All that the planner plans with, at one instant.
 *
 * @param now the present moment; nothing is planned before it
 * @param works jobs, outwork and running-in of all builds, done ones included
 * @param published the plan that people have been told
 * @param taken a better plan that the manager has taken since, not published yet
 */
public record ShopSnapshot(
        ZoneId zone,
        Instant now,
        List<Person> people,
        List<Station> stations,
        List<Vendor> vendors,
        List<Build> builds,
        List<Work> works,
        List<Link> links,
        List<PartLine> parts,
        List<Commitment> commitments,
        List<Pin> pins,
        HouseRules rules,
        Optional<Plan> published,
        Optional<Plan> taken) {
    public ShopSnapshot {
        people = List.copyOf(people);
        stations = List.copyOf(stations);
        vendors = List.copyOf(vendors);
        builds = List.copyOf(builds);
        works = List.copyOf(works);
        links = List.copyOf(links);
        parts = List.copyOf(parts);
        commitments = List.copyOf(commitments);
        pins = List.copyOf(pins);
    }

    /** The same shop with other pins. */
    public ShopSnapshot withPins(List<Pin> other) {
        return with(now, people, works, links, parts, commitments, other, published, taken);
    }

    /** The same shop whose people were told that plan. */
    public ShopSnapshot withPublished(Plan told) {
        return with(now, people, works, links, parts, commitments, pins, Optional.of(told), Optional.empty());
    }

    /** The same shop that goes by a better plan from here on, which people have not been told yet. */
    public ShopSnapshot withTaken(Plan better) {
        return with(now, people, works, links, parts, commitments, pins, published, Optional.of(better));
    }

    /** The same shop where nobody has been told anything and no plan was taken. */
    public ShopSnapshot withoutStanding() {
        return with(now, people, works, links, parts, commitments, pins, Optional.empty(), Optional.empty());
    }

    /** The plan that stands, which every edit mends: what was taken since it was published, else what people were told. */
    public Optional<Plan> standing() {
        return taken.or(() -> published);
    }

    /** The same shop with other work. */
    public ShopSnapshot withWorks(List<Work> other) {
        return with(now, people, other, links, parts, commitments, pins, published, taken);
    }

    /** The same shop with other people, or the same with other hours. */
    public ShopSnapshot withPeople(List<Person> other) {
        return with(now, other, works, links, parts, commitments, pins, published, taken);
    }

    /** The same shop with other links. */
    public ShopSnapshot withLinks(List<Link> other) {
        return with(now, people, works, other, parts, commitments, pins, published, taken);
    }

    /** The same shop with other part lines. */
    public ShopSnapshot withParts(List<PartLine> other) {
        return with(now, people, works, links, other, commitments, pins, published, taken);
    }

    /** The same shop with other dates. */
    public ShopSnapshot withCommitments(List<Commitment> other) {
        return with(now, people, works, links, parts, other, pins, published, taken);
    }

    /** The same shop by other house rules. */
    public ShopSnapshot withRules(HouseRules other) {
        return with(builds, other);
    }

    /** The same shop at another moment. */
    public ShopSnapshot at(Instant moment) {
        return with(moment, people, works, links, parts, commitments, pins, published, taken);
    }

    /**
     * When a part is promised for; of one that is not ordered and has no date, when it would come if it were ordered now
     * by the vendor's price list. Empty where nothing tells.
     */
    public Optional<Arrival> promised(PartLine part) {
        Optional<Arrival> promise = part.state().turnedDown() ? Optional.empty() : part.arrival();
        return promise.or(() -> part.vendor()
                .filter(v -> part.state().toOrder())
                .flatMap(this::vendor)
                .flatMap(v -> v.offer(part.name()).flatMap(o -> v.ordered(o, now, zone))));
    }

    /** What the promise of a part is worth, going by its vendor's record; empty where nothing is promised. */
    public Optional<Arrival> expected(PartLine part) {
        return promised(part).map(promise -> part.vendor()
                .flatMap(this::vendor)
                .map(v -> v.expected(promise))
                .orElse(promise));
    }

    /** What the promised return of outwork that is away is worth, going by its vendor's record. */
    public Optional<Arrival> expected(Outwork outwork) {
        return outwork.away().map(away -> vendor(outwork.vendor())
                .map(v -> v.expected(away.back()))
                .orElse(away.back()));
    }

    /**
     * What there is to plan: without the work, the dates and the pins of cars that are parked with no end, and with the
     * work of those that are parked until a day no sooner than that, and with the crews away that go along to dates. The
     * same where no car is parked and nobody goes along.
     */
    public ShopSnapshot inPlan() {
        return withoutParked().withCrewsAway();
    }

    /** The same shop, in which just those are away who go along to the dates as they are. */
    public ShopSnapshot withCrewsAway() {
        Map<PersonId, List<ShiftChange>> away = new HashMap<>();
        for (Commitment date : commitments) {
            if (date.away().isPresent()) {
                Outing outing = date.outing().orElseThrow();
                List<ShiftChange> absences = outing.absences(date.due(), zone, date.name());
                outing.crew().forEach(p -> away.computeIfAbsent(p, k -> new ArrayList<>())
                        .addAll(absences));
            }
        }
        List<Person> all = people.stream()
                .map(p -> p.away(away.getOrDefault(p.id(), List.of())))
                .toList();
        return all.equals(people) ? this : withPeople(all);
    }

    private ShopSnapshot withoutParked() {
        Map<BuildId, Optional<Instant>> parked = new HashMap<>();
        builds.stream()
                .filter(b -> b.isParked(now))
                .forEach(b -> parked.put(b.id(), b.parked().flatMap(Build.Parked::until)));
        if (parked.isEmpty()) {
            return this;
        }
        Set<WorkId> gone = new HashSet<>();
        List<Work> left = new ArrayList<>();
        for (Work work : works) {
            Optional<Instant> until = parked.getOrDefault(work.build(), Optional.of(Instant.MIN));
            if (until.isEmpty()) {
                gone.add(work.id());
            } else {
                left.add(work.status() == Status.TODO ? noSooner(work, until.get()) : work);
            }
        }
        return with(
                now,
                people,
                left,
                links.stream()
                        .filter(l -> !gone.contains(l.first()) && !gone.contains(l.then()))
                        .toList(),
                parts,
                commitments.stream()
                        .filter(c ->
                                parked.getOrDefault(c.build(), Optional.of(now)).isPresent())
                        .filter(c -> c.works().isEmpty() || !gone.containsAll(c.works()))
                        .map(c -> c.without(gone))
                        .toList(),
                pins.stream()
                        .filter(p -> !gone.contains(p.work()))
                        .filter(p -> !(p instanceof Pin.After after && gone.contains(after.first())))
                        .toList(),
                published,
                taken);
    }

    private static Work noSooner(Work work, Instant than) {
        boolean later = work.notBefore().map(than::isAfter).orElse(!than.equals(Instant.MIN));
        return later ? work.withNotBefore(than) : work;
    }

    /** The same shop with other builds. */
    public ShopSnapshot withBuilds(List<Build> other) {
        return with(other, rules);
    }

    private ShopSnapshot with(List<Build> someBuilds, HouseRules someRules) {
        return new ShopSnapshot(
                zone,
                now,
                people,
                stations,
                vendors,
                someBuilds,
                works,
                links,
                parts,
                commitments,
                pins,
                someRules,
                published,
                taken);
    }

    /** The vendor of that id. */
    public Optional<Vendor> vendor(VendorId id) {
        return vendors.stream().filter(v -> v.id().equals(id)).findFirst();
    }

    private ShopSnapshot with(
            Instant moment,
            List<Person> somePeople,
            List<Work> someWorks,
            List<Link> someLinks,
            List<PartLine> someParts,
            List<Commitment> someCommitments,
            List<Pin> somePins,
            Optional<Plan> told,
            Optional<Plan> since) {
        return new ShopSnapshot(
                zone,
                moment,
                somePeople,
                stations,
                vendors,
                builds,
                someWorks,
                someLinks,
                someParts,
                someCommitments,
                somePins,
                rules,
                told,
                since);
    }
}
