package galecrest.server.sheet;

import galecrest.core.build.Gate;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.sheet.JobSheet;
import galecrest.core.sheet.SheetLine;
import galecrest.core.shop.Station;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Link;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.build.Body;
import galecrest.server.build.BuildRequest;
import galecrest.server.build.BuildService;
import galecrest.server.build.CommitmentRequest;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import galecrest.server.stale.StaleGraphService;
import galecrest.server.vendor.VendorRepository;
import galecrest.server.work.JobRequest;
import galecrest.server.work.LinkRepository;
import galecrest.server.work.LinkRequest;
import galecrest.server.work.OutworkRequest;
import galecrest.server.work.WorkRepository;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Job sheets: read with a preview, taken in whole or not at all, written out; templates are job sheets too. */
@Service
public class JobSheetService {
    /** The way to another firm, where nobody has said how far it is. */
    private static final int HOUR_AWAY = 60;

    private final TemplateService templates;
    private final WorkRepository works;
    private final LinkRepository links;
    private final BuildService builds;
    private final VendorRepository vendors;
    private final StaleGraphService disturbances;
    private final PlanService plans;
    private final Journal journal;
    private final TransactionTemplate trial;

    JobSheetService(
            TemplateService templates,
            WorkRepository works,
            LinkRepository links,
            BuildService builds,
            VendorRepository vendors,
            StaleGraphService disturbances,
            PlanService plans,
            Journal journal,
            PlatformTransactionManager transactions) {
        this.trial = new TransactionTemplate(transactions);
        this.templates = templates;
        this.works = works;
        this.links = links;
        this.builds = builds;
        this.vendors = vendors;
        this.disturbances = disturbances;
        this.plans = plans;
        this.journal = journal;
    }

    /** The lines of a template. */
    public List<SheetLine> template(String id) {
        return templates.lines(id);
    }

    /** Adds the work of a template to a build that is there; returns how many jobs that are. */
    @LeadOrManager
    int addTemplate(String build, String template) {
        List<SheetLine> lines = template(template);
        journal.change("added " + lines.size() + " jobs from a template", () -> {
            insert(build, null, lines);
        });
        return lines.size();
    }

    @ManagerOnly
    public String newBuild(NewBuildRequest form) {
        boolean dated = form.dateDue() != null;
        if (dated && (form.dateName() == null || form.dateName().isBlank())) {
            throw new ValidationException("dateName", "Say what the date is for.");
        }
        List<SheetLine> lines = form.template() == null ? List.of() : template(form.template());
        return journal.change("took in " + form.build().name(), () -> {
            String id = builds.add(form.build());
            insert(id, null, lines);
            if (dated && form.dateDue() != null && form.dateName() != null && form.dateKind() != null) {
                builds.addCommitment(new CommitmentRequest(
                        id, form.dateName(), form.dateKind(), form.dateDue(), Gate.EVENT, 1, 0, null));
            }
            return id;
        });
    }

    /** A shop with one build more, and the date that its end is asked for. */
    public record Tried(ShopSnapshot shop, CommitmentId end) {}

    /** The shop as it would be with a new build from a template and no date to press it; nothing of it is kept. */
    @ManagerOnly
    public Tried withNewBuild(String template, Instant longAway) {
        List<SheetLine> lines = template(template);
        return trial.execute(status -> {
            status.setRollbackOnly();
            return journal.change("tried a new build", () -> {
                String build = builds.add(new BuildRequest("", "new build", Body.SALOON, "", "", 1, 2, 2, 2, 2, 2, 0));
                insert(build, null, lines);
                String end = builds.addCommitment(new CommitmentRequest(
                        build, "ready", Commitment.Kind.PROMISE, longAway, Gate.EVENT, 1, 0, null));
                return new Tried(plans.shopWithinChange(), new CommitmentId(end));
            });
        });
    }

    /** Reads a file and says what would be imported, or what is wrong with it. Nothing changes. */
    @LeadOrManager
    JobSheet.Read preview(byte[] file) {
        ShopSnapshot shop = plans.current().shop();
        Set<String> skills = new HashSet<>();
        shop.people().forEach(p -> skills.addAll(p.skills().keySet()));
        Set<String> stations = new HashSet<>();
        shop.stations().stream().map(Station::kind).forEach(stations::add);
        return JobSheetCsv.read(file, new JobSheet.Known(skills, stations, disturbances.labels()));
    }

    /** Takes a whole sheet in, or nothing. */
    @LeadOrManager
    int importSheet(String build, byte[] file) {
        JobSheet.Read read = preview(file);
        ValidationException.throwIfAny(read.problems());
        journal.change("imported " + read.lines().size() + " jobs", () -> {
            insert(build, null, read.lines());
        });
        return read.lines().size();
    }

    /**
     * Adds the lines to a build; returns the ids of the jobs in the order of the lines.
     *
     * @param round which they are part of; null for none
     */
    @LeadOrManager
    public List<String> insert(String build, @Nullable String round, List<SheetLine> lines) {
        List<String> ids = new ArrayList<>();
        Map<String, String> byRef = new HashMap<>();
        Map<String, Set<String>> carried = new HashMap<>();
        for (SheetLine line : lines) {
            String id = NewId.next();
            ids.add(id);
            line.disturbs().ifPresent(kinds -> carried.put(id, kinds));
            byRef.put(line.ref(), id);
            if (line.outside().isPresent()) {
                works.insertOutwork(
                        id, round, outside(build, line, line.outside().get()));
            } else {
                works.insertJob(
                        id,
                        round,
                        new JobRequest(build, line.stage(), line.spec(), null, line.note(), List.of(), 0),
                        false);
            }
        }
        for (int i = 0; i < lines.size(); i++) {
            for (SheetLine.After after : lines.get(i).after()) {
                links.insertLink(
                        NewId.next(),
                        new LinkRequest(
                                byRef.get(after.ref()),
                                ids.get(i),
                                after.type(),
                                (int) after.lag().minutes().value(),
                                after.lag().working(),
                                after.risk().map(Link.Risk::chance).orElse(null),
                                after.risk().map(r -> (int) r.rework().value()).orElse(null),
                                after.because()));
            }
        }
        disturbances.carry(carried);
        return ids;
    }

    private OutworkRequest outside(String build, SheetLine line, SheetLine.Outside outside) {
        return new OutworkRequest(
                build,
                line.stage(),
                line.spec().name(),
                vendors.ofTrade(outside.trade()).orElseGet(() -> vendors.insertWanted(outside.trade())),
                line.spec().wholeCar(),
                HOUR_AWAY,
                null,
                null,
                outside.days().low(),
                outside.days().likely(),
                outside.days().high(),
                HOUR_AWAY,
                line.spec().likelyMinutes(),
                line.spec().gate(),
                line.spec().essential(),
                null,
                List.of(),
                0);
    }

    /** The jobs of a build as a sheet that can be imported again. */
    @AnyHand
    String export(String build) {
        ShopSnapshot shop = plans.current().shop();
        Map<WorkId, String> refs = new HashMap<>();
        List<Work> lines = new ArrayList<>();
        for (Work work : shop.works()) {
            if (!(work instanceof RunningIn) && work.build().value().equals(build)) {
                lines.add(work);
                refs.put(work.id(), "j" + lines.size());
            }
        }
        return JobSheetCsv.write(
                lines,
                shop,
                refs,
                links.reasons(),
                works.stages(build),
                works.notes(build),
                disturbances.carried(build));
    }
}
