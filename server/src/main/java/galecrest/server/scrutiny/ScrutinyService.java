package galecrest.server.scrutiny;

import galecrest.core.build.Gate;
import galecrest.core.trackday.UsualInspection;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.capture.CaptureService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Inspections: what an inspector asks line by line, what failed as a job, the entry in the car's log book at the end. */
@Service
class ScrutinyService {
    private static final int LONGEST = 160;
    private static final int MOST_LINES = 120;
    private static final int AN_HOUR = 60;

    private final ScrutinyRepository record;
    private final NameRepository names;
    private final CaptureService capture;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    ScrutinyService(
            ScrutinyRepository record,
            NameRepository names,
            CaptureService capture,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.names = names;
        this.capture = capture;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    List<ScrutinyResponse> of(String build) {
        return record.of(build);
    }

    private String car(String build) {
        return names.build(build).orElseThrow(() -> new NotFoundException("build"));
    }

    /** Begins an inspection with what is usually asked. */
    @AnyHand
    String begin(String build, ScrutinyRequest form) {
        String inspector = text("inspector", form.inspector());
        String id = NewId.next();
        journal.judge(() -> {
            String car = car(build);
            if (record.of(build).stream().anyMatch(i -> i.signedAt() == null)) {
                throw new ConflictException(
                        "An inspection of this car has been begun and is not signed; go on with that.", 0, List.of());
            }
            record.insert(id, build, inspector, form.at() == null ? clock.instant() : form.at());
            UsualInspection.LINES.forEach(line -> record.addLine(id, line));
            return "began an inspection of " + car;
        });
        return id;
    }

    private static String text(String field, @Nullable String said) {
        String text = said == null ? "" : said.strip();
        if (text.length() > LONGEST) {
            throw new ValidationException(field, "At most " + LONGEST + " letters.");
        }
        return text;
    }

    /** The inspection while it is not signed. */
    private ScrutinyRepository.Kept mustBeOpen(String id) {
        ScrutinyRepository.Kept there = record.find(id).orElseThrow(() -> new NotFoundException("inspection"));
        if (there.inspection().signedAt() != null) {
            throw new ValidationException("id", "It is signed, and stands in the log book: that is not changed now.");
        }
        return there;
    }

    @AnyHand
    void change(String id, ScrutinyRequest form) {
        String inspector = text("inspector", form.inspector());
        journal.judge(() -> {
            ScrutinyRepository.Kept there = mustBeOpen(id);
            Instant again = form.againAt();
            if (again != null && !again.isAfter(there.inspection().at())) {
                throw new ValidationException("againAt", "It is looked at again after the first time.");
            }
            record.update(id, inspector, again);
            return "changed the inspection of " + car(there.build());
        });
    }

    @AnyHand
    void addLine(String id, ScrutinyLineRequest form) {
        String text = text("text", form.text());
        if (text.isEmpty()) {
            throw new ValidationException("text", "What is asked?");
        }
        journal.judge(() -> {
            ScrutinyRepository.Kept there = mustBeOpen(id);
            List<ScrutinyResponse.ScrutinyLineResponse> lines =
                    there.inspection().lines();
            if (lines.stream().anyMatch(l -> l.text().equalsIgnoreCase(text))) {
                throw new ValidationException("text", "That is asked already.");
            }
            if (lines.size() >= MOST_LINES) {
                throw new ValidationException("text", "At most " + MOST_LINES + " lines.");
            }
            record.addLine(id, text);
            return "put on the inspection of " + car(there.build()) + ": " + text;
        });
    }

    /** What the inspector said of a line; a failure becomes a job before the event, the first time. */
    @AnyHand
    void say(String line, ScrutinyLineRequest form) {
        String note = text("note", form.note());
        if (form.result() == null) {
            throw new ValidationException("result", "Pass or fail?");
        }
        if (form.result() == ScrutinyLineRequest.Result.FAIL && note.isEmpty()) {
            throw new ValidationException("note", "What is wrong with it?");
        }
        String skill = capture.usualSkill();
        journal.judge(() -> {
            String id = record.ofLine(line).orElseThrow(() -> new NotFoundException("line"));
            ScrutinyRepository.Kept there = mustBeOpen(id);
            ScrutinyResponse.ScrutinyLineResponse was = there.inspection().lines().stream()
                    .filter(l -> l.id().equals(line))
                    .findFirst()
                    .orElseThrow();
            if (was.result() == form.result() && was.note().equals(note)) {
                return null;
            }
            String work = form.result() == ScrutinyLineRequest.Result.FAIL && was.workId() == null
                    ? capture.finding(
                            there.build(), "Inspection: " + note, Optional.empty(), AN_HOUR, Gate.EVENT, skill)
                    : null;
            record.say(line, form.result(), note, work);
            return car(there.build()) + ", " + was.text() + ": "
                    + form.result().name().toLowerCase(Locale.ROOT) + (note.isEmpty() ? "" : ", " + note);
        });
    }

    /** Signs it, which enters it in the car's log book; not while anything is open or has failed. */
    @LeadOrManager
    void sign(String id) {
        journal.judge(() -> {
            ScrutinyRepository.Kept there = mustBeOpen(id);
            ScrutinyResponse inspection = there.inspection();
            if (inspection.inspector().isEmpty()) {
                throw new ValidationException("inspector", "Who inspected it?");
            }
            List<String> open = inspection.lines().stream()
                    .filter(l -> l.result() != ScrutinyLineRequest.Result.PASS)
                    .map(ScrutinyResponse.ScrutinyLineResponse::text)
                    .toList();
            if (!open.isEmpty()) {
                throw new ValidationException("lines", "Not passed: " + String.join("; ", open) + ".");
            }
            String again = inspection.lines().stream()
                    .filter(ScrutinyResponse.ScrutinyLineResponse::failedBefore)
                    .map(l -> l.text() + (l.note().isEmpty() ? "" : " (" + l.note() + ")"))
                    .collect(Collectors.joining("; "));
            String entry = "Inspected by " + inspection.inspector() + ", passed"
                    + (again.isEmpty() ? "." : " at the second look: " + again + ".");
            record.sign(id, entry, who.name(), clock.instant());
            return "entered in the log book of " + car(there.build()) + ": " + entry;
        });
    }

    @LeadOrManager
    void drop(String id) {
        journal.judge(() -> {
            ScrutinyRepository.Kept there = mustBeOpen(id);
            record.delete(id);
            return "dropped an inspection of " + car(there.build());
        });
    }
}
