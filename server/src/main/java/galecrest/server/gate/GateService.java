package galecrest.server.gate;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.gate.GateBook;
import galecrest.core.gate.GateFacts;
import galecrest.core.gate.GateLine;
import galecrest.core.gate.GateStatus;
import galecrest.core.gauge.Measured;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Problem;
import galecrest.core.work.Commitment;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.Role;
import galecrest.server.component.ComponentService;
import galecrest.server.gauge.MeasurementService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The gates of each car: what is open before them, names under their lines, and who took the car past them. */
@Service
public class GateService {

    private final GateRepository record;
    private final GateLineService lines;
    private final MeasurementService measured;
    private final ComponentService components;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    GateService(
            GateRepository record,
            GateLineService lines,
            MeasurementService measured,
            ComponentService components,
            PlanService plans,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.lines = lines;
        this.measured = measured;
        this.components = components;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    List<GateResponse> of(String build) {
        PlanService.Current current = plans.current();
        ShopSnapshot shop = current.whole();
        measured.car(build);
        return GateBook.of(
                        lines.of(build),
                        record.passings(build),
                        facts(build, shop, current.plan().byWork()))
                .stream()
                .filter(gate -> gate.gate() != Gate.TUNER
                        || goesToTheTuner(shop, build)
                        || gate.passing().isPresent())
                .map(gate -> response(gate, shop, build))
                .toList();
    }

    /** A car that nobody tunes comes past no tuner. */
    private static boolean goesToTheTuner(ShopSnapshot shop, String build) {
        return shop.works().stream().anyMatch(w -> w.build().equals(new BuildId(build)) && w.gate() == Gate.TUNER)
                || shop.commitments().stream()
                        .anyMatch(c -> c.build().equals(new BuildId(build)) && c.gate() == Gate.TUNER);
    }

    private static GateResponse response(GateStatus gate, ShopSnapshot shop, String build) {
        Optional<Commitment> date = shop.commitments().stream()
                .filter(c -> c.build().equals(new BuildId(build)) && gate.gate().upTo(c.gate()))
                .min(Comparator.comparing(Commitment::due));
        return new GateResponse(
                gate.gate(),
                gate.state(),
                gate.lines().stream().map(GateResponse.CheckedLineResponse::of).toList(),
                gate.passing()
                        .map(p -> new GateResponse.PassingResponse(p.did(), p.looked(), p.at(), p.reason()))
                        .orElse(null),
                date.map(Commitment::name).orElse(null),
                date.map(Commitment::due).orElse(null),
                gate.likely().orElse(null));
    }

    private GateFacts facts(String build, ShopSnapshot shop, Map<WorkId, Plan.Placed> placed) {
        ReasonText words = new ReasonText(shop);
        Set<String> findings = record.findings(build);
        List<GateFacts.OpenWork> work = shop.works().stream()
                .filter(w -> w.build().equals(new BuildId(build)) && w.status() != Status.DONE)
                .sorted(Comparator.comparing(w -> Optional.ofNullable(placed.get(w.id()))
                        .map(Plan.Placed::ready)
                        .orElse(Instant.MAX)))
                .map(w -> open(w, findings, words, Optional.ofNullable(placed.get(w.id()))))
                .toList();
        return new GateFacts(
                work, measured.last(build), record.forNow(build), components.lapsed(build), record.signatures(build));
    }

    private static GateFacts.OpenWork open(
            Work work, Set<String> findings, ReasonText words, Optional<Plan.Placed> placed) {
        Collection<PersonId> crew = placed.map(Plan.Placed::crew).orElse(List.of());
        return new GateFacts.OpenWork(
                work.name(),
                work.gate(),
                work.essential(),
                findings.contains(work.id().value()),
                crew.stream().map(words::person).collect(Collectors.joining(" + ")),
                placed.map(Plan.Placed::ready));
    }

    /** How a gate stands within the change that is open; empty where nothing is asked there. */
    public Optional<GateStatus> withinChange(String build, Gate gate) {
        return all(build).stream().filter(g -> g.gate() == gate).findFirst();
    }

    /** How a gate stands by the plan of now; empty where nothing is asked there. */
    public Optional<GateStatus> stateOf(String build, Gate gate) {
        PlanService.Current current = plans.current();
        return GateBook.of(
                        lines.of(build),
                        record.passings(build),
                        facts(build, current.whole(), current.plan().byWork()))
                .stream()
                .filter(g -> g.gate() == gate)
                .findFirst();
    }

    /** The gates that hold nobody up: those that are passed and not open again, and those that ask nothing. */
    public Set<Gate> passedNow(String build) {
        return allBut(of(build).stream()
                .filter(g -> g.state() != GateStatus.State.PASSED)
                .map(GateResponse::gate));
    }

    private static Set<Gate> allBut(Stream<Gate> gates) {
        Set<Gate> all = EnumSet.allOf(Gate.class);
        gates.forEach(all::remove);
        return all;
    }

    /** The same within the change that is open. */
    public Set<Gate> passed(String build) {
        return allBut(all(build).stream()
                .filter(g -> g.state() != GateStatus.State.PASSED)
                .map(GateStatus::gate));
    }

    private List<GateStatus> all(String build) {
        return GateBook.of(lines.of(build), record.passings(build), facts(build, plans.shopWithinChange(), Map.of()));
    }

    @AnyHand
    void sign(String build, String key) {
        journal.judge(() -> {
            String car = measured.car(build);
            GateLine line = mustBe(build, key);
            GateFacts.Signature there = record.signatures(build).get(key);
            if (there != null && there.holds()) {
                throw new ValidationException("key", there.by() + " has signed this already.");
            }
            record.sign(build, key, who.name(), clock.instant());
            return "signed for " + car + ": " + line.text();
        });
    }

    @AnyHand
    void unsign(String build, String key) {
        journal.judge(() -> {
            String car = measured.car(build);
            GateLine line = mustBe(build, key);
            GateFacts.Signature there = record.signatures(build).get(key);
            if (there == null) {
                return null;
            }
            if (who.account().role() == Role.HAND && !there.by().equals(who.name())) {
                throw new ValidationException("key", "This is signed by " + there.by() + ".");
            }
            record.unsign(build, key);
            return "took the name off, on " + car + ": " + line.text();
        });
    }

    private GateLine mustBe(String build, String key) {
        return lines.of(build).stream()
                .filter(l -> l.key().equals(key) && l.asks() == GateLine.Asks.SIGNED)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("line to sign"));
    }

    @AnyHand
    void pass(String build, Gate gate, GatePassRequest form) {
        String did = said(form.did());
        String looked = said(form.looked());
        String reason = said(form.reason());
        ValidationException.throwIfAny(names(did, looked));
        journal.judge(() -> {
            String car = measured.car(build);
            GateStatus status =
                    withinChange(build, gate).orElseThrow(() -> new NotFoundException("gate that asks anything"));
            status.refused(who.account().role() == Role.MANAGER, reason).ifPresent(why -> {
                throw new ValidationException("gate", why);
            });
            Set<String> met = status.lines().stream()
                    .filter(GateStatus.Checked::met)
                    .map(c -> c.line().key())
                    .collect(Collectors.toSet());
            boolean open = !status.open().isEmpty();
            record.pass(build, gate, new GateStatus.Passing(did, looked, clock.instant(), met, open ? reason : ""));
            return "took " + car + " past the gate " + called(gate) + ": " + did + " and " + looked
                    + (open ? ", though " + status.open().size() + " open: " + reason : "");
        });
    }

    private static List<Problem> names(String did, String looked) {
        List<Problem> problems = new ArrayList<>();
        if (did.isEmpty()) {
            problems.add(new Problem("did", "Who did it or drives?"));
        }
        if (looked.isEmpty()) {
            problems.add(new Problem("looked", "Who looked at it? A gate takes two names."));
        } else if (looked.equalsIgnoreCase(did)) {
            problems.add(new Problem("looked", "Another than who did it: a gate takes two names."));
        }
        return problems;
    }

    /** Makes void what is signed and rests on what the work has disturbed, within the change that finishes it. */
    public void disturbed(String build, Collection<Measured> disturbed, String because) {
        record.disturb(
                build,
                lines.of(build).stream()
                        .filter(l -> l.restsOn().filter(disturbed::contains).isPresent())
                        .map(GateLine::key)
                        .collect(Collectors.toSet()),
                because);
    }

    /** A gate in words. */
    public static String called(Gate gate) {
        return gate.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
