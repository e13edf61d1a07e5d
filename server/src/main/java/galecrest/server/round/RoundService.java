package galecrest.server.round;

import galecrest.core.build.Gate;
import galecrest.core.sheet.SheetLine;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.capture.CaptureService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.sheet.JobSheetService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Lays rounds of work between the dates of a car. */
@Service
public class RoundService {
    private final RoundRepository rounds;
    private final JobSheetService sheets;
    private final CaptureService captured;
    private final Journal journal;

    RoundService(RoundRepository rounds, JobSheetService sheets, CaptureService captured, Journal journal) {
        this.rounds = rounds;
        this.sheets = sheets;
        this.captured = captured;
        this.journal = journal;
    }

    @LeadOrManager
    public String add(String build, RoundRequest form) {
        return lay(build, form, form.template() == null ? List.of() : sheets.template(form.template()));
    }

    /** Lays a round that begins with this work, whatever template the form names. */
    @LeadOrManager
    public String lay(String build, RoundRequest form, List<SheetLine> first) {
        List<SheetLine> lines = new ArrayList<>(first);
        lines.addAll(captured.lines(form.lines() == null ? List.of() : form.lines()));
        String id = NewId.next();
        journal.judge(() -> {
            String car = rounds.car(build).orElseThrow(() -> new NotFoundException("build"));
            check(build, "", form);
            rounds.insert(id, build, form);
            Gate gate = date(form.dateId()).map(RoundRepository.DateRow::gate).orElse(Gate.EVENT);
            sheets.insert(
                    build,
                    id,
                    lines.stream().map(line -> fitting(line, gate, form.name())).toList());
            return "laid the round " + form.name().strip() + " for " + car;
        });
        return id;
    }

    /** The line as part of a round: what must be done for a date is for no later gate; all of it has a stage. */
    private static SheetLine fitting(SheetLine line, Gate gate, String round) {
        SheetLine staged = line.stage().isBlank() ? line.withStage(round) : line;
        return line.spec().gate().upTo(gate)
                ? staged
                : staged.withSpec(line.spec().withGate(gate));
    }

    @LeadOrManager
    void change(String id, RoundRequest form) {
        journal.judge(() -> {
            RoundRepository.RoundRow there = mustBe(id);
            check(there.buildId(), id, form);
            if (!rounds.update(id, form)) {
                throw new ConflictException("Somebody else changed this round meanwhile.", 0, List.of());
            }
            return "changed the round " + there.name();
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            RoundRepository.RoundRow there = mustBe(id);
            if (there.begun() > 0) {
                throw new ValidationException(
                        "id", "Work of " + there.name() + " has been begun; remove the rest of it job by job.");
            }
            rounds.delete(id);
            return "removed the round " + there.name();
        });
    }

    private RoundRepository.RoundRow mustBe(String id) {
        return rounds.find(id).orElseThrow(() -> new NotFoundException("round"));
    }

    private Optional<RoundRepository.DateRow> date(@Nullable String id) {
        return Optional.ofNullable(id).flatMap(rounds::date);
    }

    private void check(String build, String id, RoundRequest form) {
        Optional<RoundRepository.DateRow> date = ofCar(build, "dateId", form.dateId());
        Optional<RoundRepository.DateRow> after = ofCar(build, "afterId", form.afterId());
        if (rounds.isCalled(build, form.name(), id)) {
            throw new ValidationException("name", "This car has a round of that name; call this one otherwise.");
        }
        if (date.isPresent()
                && after.isPresent()
                && !after.get().due().isBefore(date.get().due())) {
            throw new ValidationException(
                    "afterId",
                    after.get().name() + " is not before " + date.get().name() + ".");
        }
    }

    private Optional<RoundRepository.DateRow> ofCar(String build, String field, @Nullable String id) {
        Optional<RoundRepository.DateRow> date = date(id);
        if (id != null && date.filter(d -> d.buildId().equals(build)).isEmpty()) {
            throw new ValidationException(field, "That is no date of this car.");
        }
        return date;
    }
}
