package galecrest.server.event;

import galecrest.core.shop.Problem;
import galecrest.core.tyre.Session;
import galecrest.core.tyre.TyrePlan;
import galecrest.core.tyre.TyrePlanner;
import galecrest.core.tyre.TyreRules;
import galecrest.core.tyre.TyreSet;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** The sets of tyres of each car, and which of them serve the sessions of an event. */
@Service
class TyreService {

    private final EventRepository record;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;

    TyreService(EventRepository record, NameRepository names, Journal journal, Clock clock) {
        this.clock = clock;
        this.record = record;
        this.names = names;
        this.journal = journal;
    }

    @AnyHand
    List<TyreSetResponse> sets() {
        return record.sets();
    }

    @LeadOrManager
    String add(TyreSetRequest form) {
        check(form);
        String id = NewId.next();
        journal.judge(() -> {
            String car = names.build(form.buildId() == null ? "" : form.buildId())
                    .orElseThrow(() -> new ValidationException("buildId", "Which car is it for?"));
            unlike(form, "");
            record.insertSet(id, form);
            return "wrote down " + form.name().strip() + " for " + car;
        });
        return id;
    }

    @LeadOrManager
    void change(String id, TyreSetRequest form) {
        check(form);
        journal.judge(() -> {
            TyreSetResponse there = mustBe(id);
            unlike(
                    new TyreSetRequest(there.buildId(), form.name(), form.kind(), form.state(), form.cycles(), null, 0),
                    id);
            if (!record.updateSet(id, form)) {
                throw new ConflictException("Somebody else has changed this set.", 0, List.of());
            }
            return "changed " + form.name().strip();
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            TyreSetResponse there = mustBe(id);
            record.dropSet(id);
            return "removed " + there.name();
        });
    }

    private TyreSetResponse mustBe(String id) {
        return record.sets().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("set of tyres"));
    }

    private void unlike(TyreSetRequest form, String but) {
        if (record.sets().stream()
                .anyMatch(s -> s.buildId().equals(form.buildId())
                        && s.name().equals(form.name().strip())
                        && !s.id().equals(but))) {
            throw new ValidationException("name", "This car has a set of that name.");
        }
    }

    private void check(TyreSetRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.state() == TyreSet.State.NEW && form.cycles() > 0) {
            problems.add(new Problem("cycles", "A new set has none."));
        }
        if (form.madeOn() != null
                && form.madeOn().isAfter(clock.instant().atZone(names.zone()).toLocalDate())) {
            problems.add(new Problem("madeOn", "That day has not come yet."));
        }
        ValidationException.throwIfAny(problems);
    }

    /** The plans of the cars that race at an event. */
    @AnyHand
    List<TyrePlanResponse> plans(String event) {
        EventResponse there = mustBeEvent(event);
        return there.cars().stream()
                .filter(c -> !c.spare())
                .map(c -> response(c.buildId(), plan(there, c.buildId())))
                .toList();
    }

    private EventResponse mustBeEvent(String id) {
        return record.find(id).orElseThrow(() -> new NotFoundException("event"));
    }

    private static TyrePlanResponse response(String build, TyrePlan plan) {
        return new TyrePlanResponse(
                build,
                plan.served().stream()
                        .map(s -> new TyrePlanResponse.ServedResponse(
                                s.session().id(), s.set().id(), s.use(), s.locked(), s.because()))
                        .toList(),
                plan.scuff().stream().map(TyreSet::name).toList(),
                plan.kept().stream().map(TyreSet::name).toList(),
                plan.why());
    }

    /** Which set serves which session of a car; asked within a change or outside of one. */
    TyrePlan plan(EventResponse event, String build) {
        List<TyreSet> sets = record.sets().stream()
                .filter(s -> s.buildId().equals(build))
                .map(TyreSetResponse::set)
                .toList();
        List<Session> sessions = event.sessions().stream()
                .map(s -> new Session(s.id(), s.name(), s.kind(), s.start(), Duration.ofMinutes(s.minutes())))
                .toList();
        Map<String, String> locks = record.locks(event.id(), build);
        return new TyrePlanner(sets, sessions)
                .plan(new TyreRules(event.mostSets(), event.mostNew(), event.uses()), locks);
    }

    @LeadOrManager
    void lock(String event, TyreLockRequest form) {
        journal.judge(() -> {
            EventResponse there = mustBeEvent(event);
            EventResponse.EventSessionResponse session = there.sessions().stream()
                    .filter(s -> s.id().equals(form.sessionId()))
                    .findFirst()
                    .orElseThrow(() -> new NotFoundException("session"));
            if (there.cars().stream().noneMatch(c -> c.buildId().equals(form.buildId()))) {
                throw new NotFoundException("car of this event");
            }
            if (form.setId() == null) {
                record.lock(form);
                return "let the set for " + session.name() + " be chosen again";
            }
            TyreSetResponse set = mustBe(form.setId());
            if (!set.buildId().equals(form.buildId())) {
                throw new ValidationException("setId", set.name() + " is another car's.");
            }
            if (set.kind() == TyreSet.Kind.WET) {
                throw new ValidationException("setId", set.name() + " is kept back for rain.");
            }
            atOnce(there, session, form, set);
            record.lock(form);
            return "chose " + set.name() + " for " + session.name() + " by hand";
        });
    }

    /** A set is at one place at a time. */
    private void atOnce(
            EventResponse event,
            EventResponse.EventSessionResponse session,
            TyreLockRequest form,
            TyreSetResponse set) {
        Map<String, String> locks = record.locks(event.id(), form.buildId());
        event.sessions().stream()
                .filter(s -> !s.id().equals(session.id()) && set.id().equals(locks.get(s.id())))
                .filter(s -> s.start().isBefore(session.start().plus(Duration.ofMinutes(session.minutes())))
                        && session.start().isBefore(s.start().plus(Duration.ofMinutes(s.minutes()))))
                .findFirst()
                .ifPresent(s -> {
                    throw new ValidationException("setId", set.name() + " serves " + s.name() + " at that time.");
                });
    }
}
