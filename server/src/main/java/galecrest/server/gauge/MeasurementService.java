package galecrest.server.gauge;

import galecrest.core.gate.GateFacts;
import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.Measured;
import galecrest.core.gauge.WrongRequest;
import galecrest.core.gauge.all.Gauges;
import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import galecrest.server.stale.StaleGraphService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The log of what was measured at each car. */
@Service
public class MeasurementService {
    private static final int LONGEST = 1_000;

    private final MeasurementRepository measurements;
    private final StaleGraphService graphs;
    private final NameRepository names;
    private final UnitsService units;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    MeasurementService(
            MeasurementRepository measurements,
            StaleGraphService graphs,
            NameRepository names,
            UnitsService units,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.measurements = measurements;
        this.graphs = graphs;
        this.names = names;
        this.units = units;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    public List<MeasurementResponse> of(String build) {
        car(build);
        return measurements.of(build);
    }

    /** Files what a gauge answers to a sheet; a sheet that it corrects is kept and no longer counts. */
    @AnyHand
    String file(String build, MeasurementRequest form) {
        check(form);
        Gauge gauge = Gauges.named(form.gauge())
                .orElseThrow(() -> new ValidationException("gauge", "There is no gauge \"" + form.gauge() + "\"."));
        MeasurementRequest meant = form.withAsked(units.meant(form.asked()));
        GaugeAnswer answer = gauge.answer(GaugeRequest.of(meant.asked()));
        String value = gauge.headline(answer);
        String what = gauge.titled(answer);
        String id = NewId.next();
        journal.judge(() -> {
            String car = car(build);
            if (form.correctsId() != null && !measurements.counts(form.correctsId(), build)) {
                throw new ConflictException("Somebody else has corrected this sheet, or undone it.", 0, List.of());
            }
            measurements.insert(id, build, meant, what, value, answer.values(), who.name(), clock.instant());
            return (form.correctsId() == null ? "measured " : "corrected ") + car + ", " + what.toLowerCase(Locale.ROOT)
                    + ": " + value;
        });
        return id;
    }

    /**
     * A sheet of another day.
     *
     * @param line of it in the file
     */
    public record Earlier(int line, MeasurementRequest form, String by, Instant at) {}

    /** Takes in sheets of other days, all or none; those that are there already are passed over. Returns how many are new. */
    @LeadOrManager
    public int takeIn(String build, List<Earlier> sheets) {
        List<Problem> problems = new ArrayList<>();
        List<Runnable> inserts = new ArrayList<>();
        int[] taken = new int[1];
        for (Earlier sheet : sheets) {
            try {
                check(sheet.form());
                Gauge gauge = Gauges.named(sheet.form().gauge())
                        .orElseThrow(() -> new ValidationException(
                                "gauge", "There is no gauge \"" + sheet.form().gauge() + "\"."));
                GaugeAnswer answer = gauge.answer(GaugeRequest.of(sheet.form().asked()));
                inserts.add(() -> {
                    String what = gauge.titled(answer);
                    String value = gauge.headline(answer);
                    if (!measurements.isThere(build, sheet.form().gauge(), value, sheet.at())) {
                        measurements.insert(
                                NewId.next(),
                                build,
                                sheet.form(),
                                what,
                                value,
                                answer.values(),
                                sheet.by(),
                                sheet.at());
                        taken[0]++;
                    }
                });
            } catch (WrongRequest wrong) {
                wrong.problems().forEach(p -> problems.add(at(sheet, p)));
            } catch (ValidationException wrong) {
                wrong.problems().forEach(p -> problems.add(at(sheet, p)));
            }
        }
        if (!problems.isEmpty()) {
            throw new ValidationException(problems);
        }
        journal.judge(() -> {
            String car = car(build);
            inserts.forEach(Runnable::run);
            return taken[0] == 0 ? null : "took in " + taken[0] + " sheets of " + car;
        });
        return taken[0];
    }

    private static Problem at(Earlier sheet, Problem problem) {
        return new Problem("line " + sheet.line() + ", " + problem.field(), problem.message());
    }

    @LeadOrManager
    void show(String build, String sheet, boolean shown) {
        journal.judge(() -> {
            String car = car(build);
            String said = measurements.said(sheet, build).orElseThrow(() -> new NotFoundException("sheet"));
            measurements.show(sheet, shown);
            return (shown ? "showed the customer of " : "no longer shows the customer of ") + car + " " + said;
        });
    }

    /** Marks what the work disturbs as stale, within the change that finishes it; says what that is. */
    public StaleGraphService.Disturbs disturbedBy(String work) {
        StaleGraphService.Disturbs disturbs = graphs.disturbedBy(work);
        measurements.last(disturbs.buildId()).stream()
                .filter(sheet -> !sheet.stale()
                        && disturbs.disturbed().stream().anyMatch(m -> m.is(sheet.gauge(), sheet.what())))
                .forEach(sheet -> measurements.disturb(sheet.id(), disturbs.name()));
        return disturbs;
    }

    /** The last sheet of each thing that was measured at a car. */
    public Map<Measured, GateFacts.Sheet> last(String build) {
        Map<Measured, GateFacts.Sheet> sheets = new EnumMap<>(Measured.class);
        // The latest come last and count.
        measurements.last(build).forEach(sheet -> Measured.of(sheet.gauge(), sheet.what())
                .ifPresent(m -> sheets.put(
                        m,
                        new GateFacts.Sheet(
                                sheet.value(), Optional.ofNullable(sheet.staleBecause()), sheet.missed()))));
        return sheets;
    }

    /** What the car is called. */
    public String car(String build) {
        return names.build(build).orElseThrow(() -> new NotFoundException("build"));
    }

    /** What is stale at a car, in the order in which it must be measured anew. */
    public List<Measured> stale(String build) {
        List<MeasurementRepository.Last> last = measurements.last(build);
        return Arrays.stream(Measured.values())
                .filter(m -> last.stream().anyMatch(sheet -> sheet.stale() && m.is(sheet.gauge(), sheet.what())))
                .toList();
    }

    private static void check(MeasurementRequest form) {
        if (form.asked() == null) {
            throw new ValidationException("asked", "What was the gauge asked?");
        }
        if (form.fuel() != null && !form.fuel().isBlank()) {
            try {
                QuantityText.read(QuantityKind.VOLUME, form.fuel(), UnitSystem.METRIC);
            } catch (QuantityText.Unreadable unreadable) {
                throw new ValidationException(List.of(new Problem("fuel", unreadable.getMessage())));
            }
        }
        if (form.note() != null && form.note().length() > LONGEST) {
            throw new ValidationException("note", "The note has at most " + LONGEST + " letters.");
        }
    }
}
