package galecrest.server.carsheet;

import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.Role;
import galecrest.server.gauge.MeasurementResponse;
import galecrest.server.gauge.MeasurementService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Service;

/** The car's log: road and test notes, searchable, beside what was measured in that hour. */
@Service
class CarNoteService {
    private static final Duration BESIDE = Duration.ofHours(1);

    private final CarNoteRepository notes;
    private final MeasurementService measurements;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    CarNoteService(
            CarNoteRepository notes, MeasurementService measurements, Journal journal, Clock clock, CurrentUser who) {
        this.notes = notes;
        this.measurements = measurements;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    /** The notes in which all words are found; all where there are none. */
    @AnyHand
    List<CarNoteResponse> of(String build, String find) {
        List<MeasurementResponse> measured = measurements.of(build);
        List<String> words = Arrays.stream(find.strip().split("\\s+"))
                .filter(w -> !w.isEmpty())
                .toList();
        return notes.of(build, words).stream()
                .map(n -> new CarNoteResponse(
                        n.id(),
                        n.at(),
                        n.place(),
                        n.driver(),
                        n.felt(),
                        n.changed(),
                        n.byName(),
                        n.version(),
                        measured.stream()
                                .filter(m -> m.correctedBy() == null
                                        && Duration.between(m.at(), n.at())
                                                        .abs()
                                                        .compareTo(BESIDE)
                                                <= 0)
                                .map(m -> m.what() + ": " + m.value())
                                .toList()))
                .toList();
    }

    @AnyHand
    String add(String build, CarNoteRequest form) {
        mustBeOver(form);
        String id = NewId.next();
        journal.judge(() -> {
            String car = measurements.car(build);
            notes.insert(id, build, at(form), form, who.name());
            return "noted of " + car + ": " + form.felt().strip();
        });
        return id;
    }

    @AnyHand
    void change(String build, String id, CarNoteRequest form) {
        mustBeOver(form);
        journal.judge(() -> {
            String car = measurements.car(build);
            mayChange(build, id);
            if (!notes.update(id, at(form), form)) {
                throw new ConflictException("Somebody else has changed this note.", 0, List.of());
            }
            return "changed a note of " + car + ": " + form.felt().strip();
        });
    }

    @AnyHand
    void remove(String build, String id) {
        journal.judge(() -> {
            String car = measurements.car(build);
            mayChange(build, id);
            notes.delete(id);
            return "took a note out of the log of " + car;
        });
    }

    /** A hand changes what it wrote itself. */
    private void mayChange(String build, String id) {
        String writer = notes.writer(id, build).orElseThrow(() -> new NotFoundException("note"));
        if (who.account().role() == Role.HAND && !writer.equals(who.name())) {
            throw new ValidationException("felt", "This note is " + writer + "'s.");
        }
    }

    private Instant at(CarNoteRequest form) {
        return form.at() == null ? clock.instant() : form.at();
    }

    private void mustBeOver(CarNoteRequest form) {
        if (form.at() != null && form.at().isAfter(clock.instant())) {
            throw new ValidationException("at", "This is not over yet.");
        }
    }
}
