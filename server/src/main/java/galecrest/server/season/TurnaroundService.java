package galecrest.server.season;

import galecrest.core.people.Person;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.season.HoursThere;
import galecrest.core.season.TurnaroundLine;
import galecrest.core.season.UsualTurnaround;
import galecrest.core.sheet.SheetLine;
import galecrest.core.shop.Station;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.capture.CaptureService;
import galecrest.server.component.ComponentService;
import galecrest.server.event.EventResponse;
import galecrest.server.event.EventService;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.round.RoundRequest;
import galecrest.server.round.RoundService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Turnarounds: what a car needs between two events, against the hours that there are, and laid as a round of work. */
@Service
class TurnaroundService {
    private static final double MINUTES_AN_HOUR = 60;

    private final EventService events;
    private final ComponentService components;
    private final RoundService rounds;
    private final CaptureService capture;
    private final SeasonRepository record;
    private final PlanService plans;

    TurnaroundService(
            EventService events,
            ComponentService components,
            RoundService rounds,
            CaptureService capture,
            SeasonRepository record,
            PlanService plans) {
        this.events = events;
        this.components = components;
        this.rounds = rounds;
        this.capture = capture;
        this.record = record;
        this.plans = plans;
    }

    /** The turnarounds before an event, of the cars that come from another one. */
    @AnyHand
    List<TurnaroundResponse> before(String event) {
        EventResponse next = events.get(event);
        List<TurnaroundResponse> all = new ArrayList<>();
        for (EventResponse.EventCarResponse car : next.cars()) {
            last(next, car.buildId()).ifPresent(last -> all.add(of(last, next, car)));
        }
        return all;
    }

    /** The event that a car comes from, where there is one. */
    private Optional<EventResponse> last(EventResponse next, String build) {
        return events.all().stream()
                .filter(e -> e.loadsAt().isBefore(next.loadsAt())
                        && e.cars().stream().anyMatch(c -> c.buildId().equals(build)))
                .max(Comparator.comparing(EventResponse::loadsAt));
    }

    private static String name(EventResponse next) {
        return "Turnaround before " + next.name();
    }

    private TurnaroundResponse of(EventResponse last, EventResponse next, EventResponse.EventCarResponse car) {
        // What falls due is asked of the plan too, which is not done while this one is read.
        List<TurnaroundLine> usual = lines(plans.current().whole(), last, next, car.buildId());
        return plans.beside(now -> {
            Optional<String> round = Optional.ofNullable(car.commitmentId()).flatMap(record::turnaround);
            Set<WorkId> laid = round.map(record::works).orElse(Set.of());
            HoursThere hours = HoursThere.of(now.shop(), now.plan(), last.back(), next.loadsAt(), laid);
            List<TurnaroundResponse.TurnaroundLineResponse> lines = round.isEmpty()
                    ? usual.stream().map(TurnaroundService::proposed).toList()
                    : planned(now.shop(), now.plan(), laid, next.loadsAt());
            return new TurnaroundResponse(
                    car.buildId(),
                    last.name(),
                    last.back(),
                    next.loadsAt(),
                    hours.there(),
                    hours.free(),
                    lines,
                    round.isEmpty() ? null : name(next),
                    car.commitmentId());
        });
    }

    private static TurnaroundResponse.TurnaroundLineResponse proposed(TurnaroundLine line) {
        return new TurnaroundResponse.TurnaroundLineResponse(
                line.key(), line.name(), line.labour(), line.because(), line.canFollow(), null, true, false);
    }

    private static List<TurnaroundResponse.TurnaroundLineResponse> planned(
            ShopSnapshot shop, Plan plan, Set<WorkId> laid, Instant to) {
        Map<WorkId, Plan.Placed> placed = plan.placed().stream()
                .collect(Collectors.toMap(Plan.Placed::work, Function.identity(), (first, second) -> first));
        return shop.works().stream()
                .filter(w -> laid.contains(w.id()))
                .map(w -> planned(w, placed.get(w.id()), to))
                .sorted(Comparator.comparing(
                        TurnaroundResponse.TurnaroundLineResponse::end,
                        Comparator.nullsFirst(Comparator.naturalOrder())))
                .toList();
    }

    private static TurnaroundResponse.TurnaroundLineResponse planned(
            Work work, Plan.@Nullable Placed placed, Instant to) {
        boolean done = work.status() == Status.DONE;
        int labour = placed == null
                ? 0
                : placed.crew().size()
                        * (int) placed.at().stream()
                                .mapToLong(a -> a.length().toMinutes())
                                .sum();
        return new TurnaroundResponse.TurnaroundLineResponse(
                work.id().value(),
                work.name(),
                labour,
                "",
                !work.essential(),
                placed == null ? null : placed.end(),
                done || placed != null && !placed.end().isAfter(to),
                done);
    }

    private List<TurnaroundLine> lines(ShopSnapshot shop, EventResponse last, EventResponse next, String build) {
        EventService.Tyres tyres = events.tyres(next, build);
        UsualTurnaround.Facts facts = new UsualTurnaround.Facts(
                last.name(),
                next.name(),
                !last.place().isBlank() && !last.place().equalsIgnoreCase(next.place()),
                ran(last),
                tyres.serving(),
                tyres.scuff(),
                components.fallsDue(build, next.name()));
        Set<String> skills = shop.people().stream()
                .map(Person::skills)
                .flatMap(s -> s.keySet().stream())
                .collect(Collectors.toSet());
        Set<String> stations = shop.stations().stream().map(Station::kind).collect(Collectors.toSet());
        String otherwise = capture.usualSkill();
        return UsualTurnaround.of(facts).stream()
                .map(l -> l.where(skills, otherwise, stations))
                .toList();
    }

    private static String ran(EventResponse event) {
        double hours = event.sessions().stream()
                        .mapToInt(EventResponse.EventSessionResponse::minutes)
                        .sum()
                / MINUTES_AN_HOUR;
        double km = event.sessions().stream()
                .mapToDouble(EventResponse.EventSessionResponse::km)
                .sum();
        return hours == 0 ? "" : String.format(Locale.ROOT, "%.1f h, %.0f km", hours, km);
    }

    /** Lays the turnaround of a car as a round between its two dates; once. */
    @LeadOrManager
    void lay(String event, TurnaroundRequest form) {
        EventResponse next = events.get(event);
        EventResponse.EventCarResponse car = next.cars().stream()
                .filter(c -> c.buildId().equals(form.buildId()))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("car of this event"));
        EventResponse last = last(next, car.buildId())
                .orElseThrow(() -> new ValidationException("buildId", "It comes from no other event."));
        if (car.commitmentId() != null && record.turnaround(car.commitmentId()).isPresent()) {
            throw new ValidationException("name", "This car has a round of that name; its turnaround is laid.");
        }
        Map<String, TurnaroundLine> all = new TreeMap<>();
        List<TurnaroundLine> inOrder = lines(plans.current().whole(), last, next, car.buildId());
        inOrder.forEach(l -> all.put(l.key(), l));
        Set<String> wanted = Set.copyOf(form.lines() == null ? List.of() : form.lines());
        if (wanted.isEmpty() || !all.keySet().containsAll(wanted)) {
            throw new ValidationException(
                    "lines", wanted.isEmpty() ? "What is to be done?" : "What falls due has changed; look again.");
        }
        List<SheetLine> lines = new ArrayList<>();
        inOrder.stream()
                .filter(l -> wanted.contains(l.key()))
                .forEach(l -> lines.add(l.line(lines.size() + 1, wanted)));
        String after = last.cars().stream()
                .filter(c -> c.buildId().equals(car.buildId()))
                .map(EventResponse.EventCarResponse::commitmentId)
                .findFirst()
                .orElse(null);
        rounds.lay(car.buildId(), new RoundRequest(name(next), car.commitmentId(), after, null, null, 0), lines);
    }
}
