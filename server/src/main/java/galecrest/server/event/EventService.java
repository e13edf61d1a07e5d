package galecrest.server.event;

import galecrest.core.build.Gate;
import galecrest.core.component.Counter;
import galecrest.core.component.Wear;
import galecrest.core.shop.Problem;
import galecrest.core.tyre.TyrePlan;
import galecrest.core.tyre.TyreSet;
import galecrest.core.work.Commitment;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.build.BuildService;
import galecrest.server.build.CommitmentRequest;
import galecrest.server.build.OutingRequest;
import galecrest.server.component.CarUseService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.round.RoundRequest;
import galecrest.server.round.RoundService;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Events: entering one makes the dates of its cars and the work before them; leaving it out gives all that back. */
@Service
public class EventService {
    private static final int LONGEST = 80;
    private static final int MOST_SESSIONS = 40;
    private static final int MOST_CARS = 20;
    private static final int LONGEST_MINUTES = 24 * 60 + 60;
    private static final double MINUTES_AN_HOUR = 60;
    private static final double RACE_CAR = 2;

    private final EventRepository record;
    private final TyreService tyres;
    private final BuildService builds;
    private final RoundService rounds;
    private final CarUseService uses;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;

    EventService(
            EventRepository record,
            TyreService tyres,
            BuildService builds,
            RoundService rounds,
            CarUseService uses,
            NameRepository names,
            Journal journal,
            Clock clock) {
        this.record = record;
        this.tyres = tyres;
        this.builds = builds;
        this.rounds = rounds;
        this.uses = uses;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
    }

    @AnyHand
    public List<EventResponse> all() {
        return record.all();
    }

    /** Every event, for who is asked by nobody who is signed in. */
    public List<EventResponse> entered() {
        return record.all();
    }

    @AnyHand
    public EventResponse get(String id) {
        return mustBe(id);
    }

    /** The sets of tyres that serve a car at an event, and which of them are to be scuffed before; by name. */
    public record Tyres(List<String> serving, List<String> scuff) {}

    public Tyres tyres(EventResponse event, String build) {
        TyrePlan plan = tyres.plan(event, build);
        return new Tyres(
                plan.served().stream().map(s -> s.set().name()).distinct().toList(),
                plan.scuff().stream().map(TyreSet::name).toList());
    }

    @LeadOrManager
    public String add(EventRequest form) {
        List<Problem> problems = check(form);
        if (form.loadsAt() != null && form.loadsAt().isBefore(clock.instant())) {
            problems.add(new Problem("loadsAt", "That has passed already; an event lies ahead."));
        }
        ValidationException.throwIfAny(problems);
        String id = NewId.next();
        journal.judge(() -> {
            freeThen(id, form);
            record.insert(id, form);
            sessions(id, List.of(), form);
            record.crew(id, crew(form));
            for (EventRequest.EventCarRequest car : cars(form)) {
                addCar(id, form, car);
            }
            return "entered " + form.name().strip();
        });
        return id;
    }

    @LeadOrManager
    void change(String id, EventRequest form) {
        ValidationException.throwIfAny(check(form));
        journal.judge(() -> {
            EventResponse there = mustBe(id);
            if (there.over()) {
                throw new ValidationException(
                        "name", "It is over, and what it took is booked: that is not changed now.");
            }
            freeThen(id, form);
            if (!record.update(id, form)) {
                throw new ConflictException("Somebody else has changed this event.", 0, List.of());
            }
            sessions(id, there.sessions(), form);
            record.crew(id, crew(form));
            Set<String> go = cars(form).stream()
                    .map(EventRequest.EventCarRequest::buildId)
                    .collect(Collectors.toSet());
            there.cars().stream().filter(c -> !go.contains(c.buildId())).forEach(c -> leaveOut(id, c));
            for (EventRequest.EventCarRequest car : cars(form)) {
                Optional<EventResponse.EventCarResponse> before = there.cars().stream()
                        .filter(c -> c.buildId().equals(car.buildId()))
                        .findFirst();
                if (before.isEmpty()) {
                    addCar(id, form, car);
                } else {
                    record.updateCar(id, car);
                    if (before.get().commitmentId() != null) {
                        builds.moveCommitment(before.get().commitmentId(), date(form, car));
                    }
                }
            }
            return "changed " + form.name().strip();
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            EventResponse there = mustBe(id);
            if (there.over()) {
                throw new ValidationException("id", "It is over, and what it took is booked: it stays in the record.");
            }
            there.cars().forEach(c -> leaveOut(id, c));
            record.delete(id);
            return "left out " + there.name();
        });
    }

    /** A car is at one event at a time. */
    private void freeThen(String id, EventRequest form) {
        Instant back = form.backAt() == null
                ? sessions(form).stream()
                        .map(s -> s.start().plus(Duration.ofMinutes(s.minutes())))
                        .max(Comparator.naturalOrder())
                        .orElse(form.loadsAt())
                : form.backAt();
        for (EventResponse other : record.all()) {
            if (!other.id().equals(id)
                    && form.loadsAt().isBefore(other.back())
                    && other.loadsAt().isBefore(back)) {
                cars(form).stream()
                        .filter(c ->
                                other.cars().stream().anyMatch(o -> o.buildId().equals(c.buildId())))
                        .findFirst()
                        .ifPresent(c -> {
                            throw new ValidationException(
                                    "cars",
                                    names.build(c.buildId()).orElse("A car") + " is at " + other.name() + " then.");
                        });
            }
        }
    }

    /** The date of a car is taken back, and its round where no work of it has been begun. */
    private void leaveOut(String event, EventResponse.EventCarResponse car) {
        if (car.roundId() != null) {
            record.dropRound(car.roundId());
        }
        if (car.commitmentId() != null) {
            record.dropDate(car.commitmentId());
        }
        record.dropCar(event, car.buildId());
    }

    private void addCar(String event, EventRequest form, EventRequest.EventCarRequest car) {
        if (names.build(car.buildId() == null ? "" : car.buildId()).isEmpty()) {
            throw new ValidationException("cars", "One of these cars is not there any more.");
        }
        String commitment = builds.addCommitment(date(form, car));
        String template = car.template() == null || car.template().isBlank() ? null : car.template();
        String round = template == null
                ? null
                : rounds.add(car.buildId(), new RoundRequest(form.name().strip(), commitment, null, template, null, 0));
        record.addCar(event, car, commitment, round);
    }

    /** The date that a car is given: it is loaded then. The crew goes along with the first car. */
    private static CommitmentRequest date(EventRequest form, EventRequest.EventCarRequest car) {
        boolean first = cars(form).get(0).equals(car);
        OutingRequest outing = form.backAt() == null
                ? null
                : new OutingRequest(form.backAt(), first ? crew(form) : List.of(), List.of());
        return new CommitmentRequest(
                car.buildId(),
                form.name().strip(),
                Commitment.Kind.EVENT,
                form.loadsAt(),
                Gate.EVENT,
                car.spare() ? 1 : RACE_CAR,
                0,
                outing);
    }

    private void sessions(String event, List<EventResponse.EventSessionResponse> there, EventRequest form) {
        Set<String> known =
                there.stream().map(EventResponse.EventSessionResponse::id).collect(Collectors.toSet());
        Set<String> stay = new HashSet<>();
        for (EventRequest.EventSessionRequest session : sessions(form)) {
            String id = session.id() != null && known.contains(session.id()) ? session.id() : NewId.next();
            stay.add(id);
            record.keepSession(event, id, session);
        }
        known.stream().filter(id -> !stay.contains(id)).forEach(record::dropSession);
    }

    /** Books what the event took out of its cars and their tyres; once. */
    @LeadOrManager
    void over(String id) {
        journal.judge(() -> {
            EventResponse event = mustBe(id);
            if (event.over()) {
                throw new ConflictException("It has been booked already.", 0, List.of());
            }
            if (event.sessions().isEmpty()) {
                throw new ValidationException("sessions", "There is no session to book.");
            }
            Instant last = event.sessions().stream()
                    .map(EventService::end)
                    .max(Comparator.naturalOrder())
                    .orElseThrow();
            if (last.isAfter(clock.instant())) {
                throw new ValidationException("sessions", "It is not over yet.");
            }
            for (EventResponse.EventCarResponse car : event.cars()) {
                if (!car.spare()) {
                    book(event, car.buildId(), last);
                }
            }
            record.booked(id, clock.instant());
            return "booked what " + event.name() + " took out of its cars";
        });
    }

    private void book(EventResponse event, String build, Instant last) {
        for (EventResponse.EventSessionResponse session : event.sessions()) {
            Wear wear = new Wear(Map.of(
                    Counter.HOURS,
                    session.minutes() / MINUTES_AN_HOUR,
                    Counter.DISTANCE,
                    session.km(),
                    Counter.FIRES,
                    1.0));
            uses.book(
                    "session:" + session.id() + ":" + build,
                    build,
                    end(session),
                    wear,
                    true,
                    event.name() + ", " + session.name());
        }
        uses.book("event:" + event.id() + ":" + build, build, last, Wear.of(Counter.EVENTS, 1), false, event.name());
        tyres.plan(event, build).served().forEach(s -> record.ran(s.set().id()));
    }

    private static Instant end(EventResponse.EventSessionResponse session) {
        return session.start().plus(Duration.ofMinutes(session.minutes()));
    }

    private EventResponse mustBe(String id) {
        return record.find(id).orElseThrow(() -> new NotFoundException("event"));
    }

    private static List<String> crew(EventRequest form) {
        return form.crew() == null ? List.of() : form.crew();
    }

    private static List<EventRequest.EventCarRequest> cars(EventRequest form) {
        return form.cars() == null ? List.of() : form.cars();
    }

    private static List<EventRequest.EventSessionRequest> sessions(EventRequest form) {
        return form.sessions() == null ? List.of() : form.sessions();
    }

    private static List<Problem> check(EventRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name() == null || form.name().isBlank() || form.name().length() > LONGEST) {
            problems.add(new Problem("name", "What is it called? 1 to " + LONGEST + " letters."));
        }
        if (form.loadsAt() == null) {
            problems.add(new Problem("loadsAt", "When are the cars loaded?"));
        } else if (form.backAt() != null && !form.backAt().isAfter(form.loadsAt())) {
            problems.add(new Problem("backAt", "They come back after they leave."));
        }
        if (cars(form).isEmpty() || cars(form).size() > MOST_CARS) {
            problems.add(new Problem("cars", "Which cars go? 1 to " + MOST_CARS + "."));
        }
        if (cars(form).stream()
                        .map(EventRequest.EventCarRequest::buildId)
                        .distinct()
                        .count()
                < cars(form).size()) {
            problems.add(new Problem("cars", "A car goes once."));
        }
        if (form.mostSets() < 1 || form.mostSets() > MOST_SESSIONS) {
            problems.add(new Problem("mostSets", "1 to " + MOST_SESSIONS + "."));
        }
        if (form.mostNew() < 0 || form.mostNew() > MOST_SESSIONS) {
            problems.add(new Problem("mostNew", "0 to " + MOST_SESSIONS + "."));
        }
        if (form.uses() < 1 || form.uses() > 4) {
            problems.add(new Problem("uses", "1 to 4."));
        }
        if (sessions(form).size() > MOST_SESSIONS) {
            problems.add(new Problem("sessions", "At most " + MOST_SESSIONS + "."));
        }
        for (int i = 0; i < sessions(form).size(); i++) {
            session(form, sessions(form).get(i), "sessions[" + i + "].", problems);
        }
        return problems;
    }

    private static void session(
            EventRequest form, EventRequest.EventSessionRequest session, String place, List<Problem> problems) {
        if (session.name() == null || session.name().isBlank() || session.name().length() > LONGEST) {
            problems.add(new Problem(place + "name", "What is it called?"));
        }
        if (session.kind() == null) {
            problems.add(new Problem(place + "kind", "What is decided in it?"));
        }
        if (session.minutes() < 1 || session.minutes() > LONGEST_MINUTES) {
            problems.add(new Problem(place + "minutes", "1 min to 25 h."));
        }
        if (!(session.km() >= 0 && session.km() < 10_000)) {
            problems.add(new Problem(place + "km", "0 km or more."));
        }
        @Nullable Instant start = session.start();
        if (start == null) {
            problems.add(new Problem(place + "start", "When does it begin?"));
        } else if (form.loadsAt() != null && start.isBefore(form.loadsAt())) {
            problems.add(new Problem(place + "start", "That is before the cars are loaded."));
        } else if (form.backAt() != null && start.isAfter(form.backAt())) {
            problems.add(new Problem(place + "start", "That is after all are back."));
        }
    }
}
