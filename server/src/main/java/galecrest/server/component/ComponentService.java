package galecrest.server.component;

import galecrest.core.build.BuildId;
import galecrest.core.component.CarUse;
import galecrest.core.component.Component;
import galecrest.core.component.ComponentLife;
import galecrest.core.component.Counter;
import galecrest.core.component.Fitting;
import galecrest.core.component.Wear;
import galecrest.core.gate.GateFacts;
import galecrest.core.season.UsualTurnaround;
import galecrest.core.shop.Problem;
import galecrest.core.work.Commitment;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Components: where each is, how much of its life is behind it, what runs out and when. */
@Service
public class ComponentService {
    private static final int LONGEST = 400;

    private final ComponentRepository record;
    private final CarUseService uses;
    private final NameRepository names;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    ComponentService(
            ComponentRepository record,
            CarUseService uses,
            NameRepository names,
            PlanService plans,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.uses = uses;
        this.names = names;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    List<ComponentResponse> all() {
        Instant now = clock.instant();
        ZoneId zone = names.zone();
        List<Commitment> dates = plans.current().whole().commitments();
        List<CarUse> all = uses.all();
        Map<String, List<ComponentRepository.Entry>> history = record.history();
        Map<String, String> cars = record.cars();
        List<ComponentRepository.Ahead> events = record.ahead(now);
        return record.all().stream()
                .map(kept -> {
                    Component component = kept.component();
                    List<ComponentLife.Planned> ahead = component
                            .at(now)
                            .map(f -> ahead(events, dates, f.build(), now, zone))
                            .orElse(List.of());
                    return response(
                            kept,
                            ComponentLife.of(component, all),
                            ahead,
                            history(kept, history.getOrDefault(component.id(), List.of()), cars),
                            now.atZone(zone).toLocalDate(),
                            component.at(now));
                })
                .toList();
    }

    /** The events to come of a car, and its other dates that are events: each of those wears what is on it by one event. */
    private static List<ComponentLife.Planned> ahead(
            List<ComponentRepository.Ahead> events, List<Commitment> dates, BuildId build, Instant now, ZoneId zone) {
        Set<String> ofEvents =
                events.stream().map(ComponentRepository.Ahead::commitmentId).collect(Collectors.toSet());
        Stream<ComponentLife.Planned> planned = events.stream()
                .filter(e -> e.buildId().equals(build.value()))
                .map(e -> new ComponentLife.Planned(
                        e.name(),
                        e.at().atZone(zone).toLocalDate(),
                        new Wear(Map.of(Counter.EVENTS, 1.0, Counter.HOURS, e.hours(), Counter.DISTANCE, e.km()))));
        Stream<ComponentLife.Planned> others = dates.stream()
                .filter(c -> c.build().equals(build)
                        && c.kind() == Commitment.Kind.EVENT
                        && c.due().isAfter(now)
                        && !ofEvents.contains(c.id().value()))
                .map(c -> new ComponentLife.Planned(
                        c.name(), c.due().atZone(zone).toLocalDate(), Wear.of(Counter.EVENTS, 1)));
        return Stream.concat(planned, others).toList();
    }

    private static ComponentResponse response(
            ComponentRepository.Kept kept,
            ComponentLife life,
            List<ComponentLife.Planned> ahead,
            List<ComponentResponse.EntryResponse> history,
            LocalDate today,
            Optional<Fitting> on) {
        Component component = kept.component();
        return new ComponentResponse(
                component.id(),
                component.name(),
                component.identity(),
                kept.note(),
                component.safety(),
                component.expires().orElse(null),
                on.map(f -> f.build().value()).orElse(null),
                on.map(Fitting::place).orElse(""),
                on.map(Fitting::from).orElse(null),
                component.before().amounts(),
                life.total().amounts(),
                life.total().said(),
                component.limits().stream()
                        .map(l -> new ComponentResponse.LimitResponse(
                                l.counter(),
                                l.most(),
                                l.service(),
                                life.against(l),
                                Wear.said(l.counter(), life.against(l))))
                        .toList(),
                life.due(today, ahead).stream()
                        .map(d -> new ComponentResponse.DueResponse(
                                d.said(), d.day(), d.now() ? null : d.at(), d.service()))
                        .toList(),
                history,
                kept.version());
    }

    private static List<ComponentResponse.EntryResponse> history(
            ComponentRepository.Kept kept, List<ComponentRepository.Entry> entries, Map<String, String> cars) {
        Stream<ComponentResponse.EntryResponse> fittings = kept.component().fittings().stream()
                .flatMap(f -> {
                    String car = cars.getOrDefault(f.build().value(), "a car that is gone")
                            + (f.place().isEmpty() ? "" : ", " + f.place());
                    return Stream.concat(
                            Stream.of(new ComponentResponse.EntryResponse(f.from(), "on " + car, "")),
                            f.until().stream().map(t -> new ComponentResponse.EntryResponse(t, "off " + car, "")));
                });
        return Stream.concat(
                        fittings,
                        entries.stream()
                                .map(e -> new ComponentResponse.EntryResponse(
                                        e.at(),
                                        e.kind().name().toLowerCase(Locale.ROOT)
                                                + (e.what().isEmpty() ? "" : ": " + e.what()),
                                        e.byName())))
                .sorted(Comparator.comparing(ComponentResponse.EntryResponse::at)
                        .reversed())
                .toList();
    }

    /** What of a car runs out at an event or has run out already, by component. */
    @AnyHand
    public List<UsualTurnaround.FallsDue> fallsDue(String build, String event) {
        return all().stream()
                .filter(c -> build.equals(c.buildId()))
                .flatMap(c -> c.due().stream()
                        .filter(d -> d.at() == null || d.at().equals(event))
                        .map(d -> new UsualTurnaround.FallsDue(
                                (c.name() + " " + c.identity()).strip(), d.said(), d.service())))
                .toList();
    }

    /** What is fitted to a car now; asked within a change or outside of one. */
    public List<Component> fitted(String build) {
        Instant now = clock.instant();
        return record.all().stream()
                .map(ComponentRepository.Kept::component)
                .filter(c ->
                        c.at(now).filter(f -> f.build().value().equals(build)).isPresent())
                .toList();
    }

    /** What is on the car and beyond its life or its date now; asked within a change or outside of one. */
    public List<GateFacts.Lapsed> lapsed(String build) {
        Instant now = clock.instant();
        ZoneId zone = names.zone();
        List<CarUse> all = uses.all();
        return fitted(build).stream()
                .flatMap(c -> ComponentLife.of(c, all).lapsed(now, zone).stream()
                        .map(said -> new GateFacts.Lapsed(said, c.safety())))
                .toList();
    }

    @LeadOrManager
    public String add(ComponentRequest form) {
        check(form);
        if (form.version() != 0) {
            throw new ValidationException("version", "A new component has no version yet.");
        }
        String id = NewId.next();
        journal.judge(() -> {
            unlike(form, "");
            record.insert(id, form);
            if (form.fittedTo() != null) {
                journal.say("wrote down the component " + called(form) + " and fitted it");
                fit(id, new FitComponentRequest(form.fittedTo(), null, null));
            }
            return "wrote down the component " + called(form);
        });
        return id;
    }

    @LeadOrManager
    public void change(String id, ComponentRequest form) {
        check(form);
        journal.judge(() -> {
            mustBe(id);
            unlike(form, id);
            if (!record.update(id, form)) {
                throw new ConflictException("Somebody else has changed this component.", 0, List.of());
            }
            return "changed the component " + called(form);
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            String called = mustBe(id).called();
            record.delete(id);
            return "removed the component " + called;
        });
    }

    @AnyHand
    public void fit(String id, FitComponentRequest form) {
        journal.judge(() -> {
            Component component = mustBe(id);
            String car = names.build(form.buildId() == null ? "" : form.buildId())
                    .orElseThrow(() -> new ValidationException("buildId", "Say which car it is fitted to."));
            Instant at = at(form.at());
            String place = text("place", form.place());
            Optional<Fitting> last = last(component);
            last.filter(f -> f.until().isEmpty()).ifPresent(f -> {
                throw new ValidationException(
                        "buildId",
                        component.called() + " is on "
                                + names.build(f.build().value()).orElse("another car")
                                + ". Take it off there first.");
            });
            if (last.flatMap(Fitting::until).filter(at::isBefore).isPresent()) {
                throw new ValidationException("at", "At that time it was still on another car.");
            }
            record.fit(id, form.buildId(), place, at);
            return "fitted " + component.called() + " to " + car;
        });
    }

    @AnyHand
    void takeOff(String id) {
        journal.judge(() -> {
            Component component = mustBe(id);
            Fitting on = last(component)
                    .filter(f -> f.until().isEmpty())
                    .orElseThrow(() -> new ValidationException("at", component.called() + " is on no car."));
            record.takeOff(id, clock.instant());
            return "took " + component.called() + " off "
                    + names.build(on.build().value()).orElse("a car");
        });
    }

    private static Optional<Fitting> last(Component component) {
        List<Fitting> all = component.fittings();
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    @AnyHand
    void note(String id, HistoryRequest form) {
        String what = text("what", form.what());
        if (form.kind() == null || what.isEmpty() && form.kind() != HistoryKind.SERVICE) {
            throw new ValidationException("what", "Say what was done, or what happened.");
        }
        journal.judge(() -> {
            Component component = mustBe(id);
            record.note(id, form.kind(), what, at(form.at()), who.name());
            return (form.kind() == HistoryKind.SERVICE ? "serviced " : "wrote into the history of ")
                    + component.called()
                    + (what.isEmpty() ? "" : ": " + what);
        });
    }

    /** Writes a crash into the history of all that is fitted to a car, within the change that is open. */
    public void crashed(String build, String what) {
        fitted(build).forEach(c -> record.note(c.id(), HistoryKind.CRASH, what, clock.instant(), who.name()));
    }

    private Instant at(@Nullable Instant said) {
        Instant now = clock.instant();
        if (said != null && said.isAfter(now)) {
            throw new ValidationException("at", "That is not over yet.");
        }
        return said == null ? now : said;
    }

    private Component mustBe(String id) {
        return record.find(id)
                .map(ComponentRepository.Kept::component)
                .orElseThrow(() -> new NotFoundException("component"));
    }

    private void unlike(ComponentRequest form, String but) {
        if (record.isCalled(text("name", form.name()), text("identity", form.identity()), but)) {
            throw new ValidationException("identity", "There is a component of that name with this identity.");
        }
    }

    private static String called(ComponentRequest form) {
        return (text("name", form.name()) + " " + text("identity", form.identity())).strip();
    }

    private static String text(String field, @Nullable String said) {
        String text = said == null ? "" : said.strip();
        if (text.length() > LONGEST) {
            throw new ValidationException(field, "At most " + LONGEST + " letters.");
        }
        return text;
    }

    private static void check(ComponentRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (text("name", form.name()).isEmpty()) {
            problems.add(new Problem("name", "What is it?"));
        }
        text("note", form.note());
        Map<Counter, Double> before = form.before() == null ? Map.of() : form.before();
        before.forEach((counter, amount) -> {
            if (amount == null || !(amount >= 0 && amount < 1e9)) {
                problems.add(new Problem("before." + counter, "The " + counter.label() + " are 0 or more."));
            }
        });
        List<LimitRequest> limits = form.limits() == null ? List.of() : form.limits();
        Map<Counter, LimitRequest> seen = new EnumMap<>(Counter.class);
        for (int i = 0; i < limits.size(); i++) {
            LimitRequest limit = limits.get(i);
            if (limit.counter() == null || !(limit.most() > 0 && limit.most() < 1e9)) {
                problems.add(new Problem("limits[" + i + "].most", "A limit is more than 0."));
            } else {
                LimitRequest other = seen.putIfAbsent(limit.counter(), limit);
                if (other != null && other.service() == limit.service()) {
                    problems.add(new Problem("limits[" + i + "].counter", "There is such a limit already."));
                }
            }
        }
        ValidationException.throwIfAny(problems);
    }

    /** Every component by what it is called, and what it was used up to now. */
    Map<String, ComponentRepository.Kept> byName() {
        return record.all().stream()
                .collect(Collectors.toMap(k -> k.component().called(), Function.identity(), (first, second) -> first));
    }
}
