package galecrest.server.board;

import galecrest.core.insight.Load;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import galecrest.core.vendor.VendorRecord;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** People, stations and vendors as a board shows them. */
final class ResourceViews {
    private static final int LOAD_DAYS = 42;

    private final boolean told;
    private final BoardRepository record;
    private final ShopSnapshot shop;
    private final Plan plan;

    ResourceViews(BoardSource source) {
        told = source.told();
        record = source.record();
        shop = source.shop();
        plan = source.plan();
    }

    List<Board.PersonView> people() {
        Map<String, Integer> versions = record.versions("person");
        var changes = record.shiftChanges();
        return shop.people().stream()
                .map(p -> new Board.PersonView(
                        p.id().value(),
                        p.name(),
                        p.skills().entrySet().stream()
                                .map(s -> new Board.SkillView(s.getKey(), s.getValue()))
                                .sorted(Comparator.comparing(Board.SkillView::skill))
                                .toList(),
                        hours(p.shifts()),
                        Stream.concat(
                                        changes.getOrDefault(p.id().value(), List.of()).stream()
                                                .map(c -> told ? c.withoutNote() : c),
                                        away(p))
                                .toList(),
                        told ? null : p.costPerHour(),
                        WorkedTime.of(p, shop.now(), shop.now().plusSeconds(300), shop.zone())
                                        .value()
                                > 0,
                        versions.getOrDefault(p.id().value(), 0)))
                .toList();
    }

    /** Who goes along to a date is away, which is nowhere entered and has no id. */
    private Stream<Board.ShiftChangeView> away(Person person) {
        return shop.commitments().stream()
                .filter(c ->
                        c.away().isPresent() && c.outing().orElseThrow().crew().contains(person.id()))
                .map(c -> new Board.ShiftChangeView(
                        "",
                        ShiftChange.Kind.AWAY,
                        day(c.due()),
                        day(c.away().orElseThrow().to()),
                        LocalTime.MIDNIGHT,
                        LocalTime.MIDNIGHT,
                        "at " + c.name()));
    }

    private LocalDate day(Instant at) {
        return at.atZone(shop.zone()).toLocalDate();
    }

    private static List<Board.HoursView> hours(List<Shift> shifts) {
        return shifts.stream()
                .map(s -> new Board.HoursView(s.day().getValue(), s.start(), s.end()))
                .toList();
    }

    private static List<Board.ClosureView> closures(List<Closure> closures) {
        return closures.stream()
                .map(c -> new Board.ClosureView(c.from(), c.to(), c.reason()))
                .toList();
    }

    List<Board.StationView> stations() {
        Map<String, Integer> versions = record.versions("station");
        return shop.stations().stream()
                .map(s -> new Board.StationView(
                        s.id().value(),
                        s.name(),
                        s.kind(),
                        closures(s.closures()),
                        versions.getOrDefault(s.id().value(), 0)))
                .toList();
    }

    List<Board.VendorView> vendors() {
        Map<String, Integer> versions = record.versions("vendor");
        Map<String, String> emails = record.emails();
        Map<String, List<Board.TimeView>> times = record.times();
        return shop.vendors().stream()
                .map(v -> new Board.VendorView(
                        v.id().value(),
                        v.name(),
                        v.trade(),
                        v.phone(),
                        emails.getOrDefault(v.id().value(), ""),
                        v.record().map(r -> r.sample()).orElse(0),
                        v.record().map(r -> r.usualSlip().toMinutes()).orElse(null),
                        v.record().map(VendorRecord::weight).orElse(null),
                        hours(v.hours()),
                        closures(v.closures()),
                        told
                                ? List.of()
                                : v.offers().stream()
                                        .map(o -> new Board.OfferView(
                                                o.what(), o.price().orElse(null), o.low(), o.likely(), o.high()))
                                        .toList(),
                        times.getOrDefault(v.id().value(), List.of()),
                        versions.getOrDefault(v.id().value(), 0)))
                .toList();
    }

    List<Board.LoadView> loads() {
        return Load.of(shop, plan, LOAD_DAYS).stream()
                .map(l -> new Board.LoadView(
                        l.person().map(PersonId::value).orElse(null),
                        l.station().map(s -> s.value()).orElse(null),
                        l.day(),
                        l.planned(),
                        l.there(),
                        l.away()))
                .toList();
    }
}
