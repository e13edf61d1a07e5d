package galecrest.server.sheet;

import galecrest.core.build.BuildId;
import galecrest.core.gauge.Measured;
import galecrest.core.sheet.SheetLine;
import galecrest.core.time.Minutes;
import galecrest.core.work.Link;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.server.access.LeadOrManager;
import galecrest.server.gauge.MeasurementService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Makes the jobs that measure anew what is stale at a car, one after the other, so that nothing is measured twice. */
@Service
class RenewalService {
    private final MeasurementService measured;
    private final JobSheetService sheets;
    private final TemplateService templates;
    private final PlanService plans;
    private final Journal journal;

    RenewalService(
            MeasurementService measured,
            JobSheetService sheets,
            TemplateService templates,
            PlanService plans,
            Journal journal) {
        this.measured = measured;
        this.sheets = sheets;
        this.templates = templates;
        this.plans = plans;
        this.journal = journal;
    }

    /** Adds the jobs; what an open job of the car measures anyway is not asked for again. Returns what they are called. */
    @LeadOrManager
    List<String> renew(String build) {
        List<String> made = new ArrayList<>();
        journal.judge(() -> {
            String car = measured.car(build);
            List<String> open = plans.shopWithinChange().works().stream()
                    .filter(w -> w.build().equals(new BuildId(build)) && w.status() != Status.DONE)
                    .map(Work::name)
                    .toList();
            List<Measured> wanted = measured.stale(build).stream()
                    .filter(m -> open.stream().noneMatch(name -> m.is("", name)))
                    .toList();
            if (wanted.isEmpty()) {
                throw new ValidationException("renew", "Nothing is stale but what an open job measures anew already.");
            }
            List<SheetLine> lines = lines(wanted);
            sheets.insert(build, null, lines);
            lines.forEach(line -> made.add(line.spec().name()));
            return "made jobs for what is stale on " + car + ": " + String.join(", ", made);
        });
        return made;
    }

    /** Each after the one before it. */
    private List<SheetLine> lines(List<Measured> wanted) {
        Map<String, SheetLine> known =
                templates.renewals().stream().collect(Collectors.toMap(SheetLine::ref, Function.identity()));
        List<SheetLine> lines = new ArrayList<>();
        for (Measured one : wanted) {
            SheetLine line = known.get(one.name());
            String before = lines.isEmpty() ? "" : lines.get(lines.size() - 1).ref();
            lines.add(
                    before.isEmpty()
                            ? line
                            : line.withAfter(List.of(new SheetLine.After(
                                    before,
                                    Link.Type.FINISH_START,
                                    new Link.Lag(Minutes.of(0), false),
                                    Optional.empty(),
                                    "what comes first may move what comes after"))));
        }
        return lines;
    }
}
