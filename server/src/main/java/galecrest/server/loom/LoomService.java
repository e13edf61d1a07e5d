package galecrest.server.loom;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.loom.LoomDecisions;
import galecrest.core.loom.LoomModule;
import galecrest.core.loom.LoomTree;
import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.core.units.Units;
import galecrest.core.work.ReasonTag;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.progress.HoldRequest;
import galecrest.server.progress.ProgressService;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What becomes of the modules of a car, and the tree of its wires; what is undecided holds the loom job. */
@Service
class LoomService {
    private static final Units METRIC = kind -> UnitSystem.METRIC;
    private static final Set<String> KINDS = Set.of("CONTROL_UNIT", "SENSOR", "CONSUMER");
    private static final int MOST = 400;
    /** How a hold of ours begins: nobody else's is lifted. */
    private static final String OURS = "undecided: ";

    private final LoomRepository record;
    private final ProgressService progress;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    LoomService(
            LoomRepository record,
            ProgressService progress,
            NameRepository names,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.progress = progress;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    LoomResponse of(String build) {
        car(build);
        List<LoomRepository.Module> modules = record.modules(build);
        LoomDecisions decisions = LoomDecisions.of(
                modules.stream().map(LoomRepository.Module::core).toList());
        LoomTree tree = record.tree(build);
        List<LoomResponse.WireResponse> wires = wires(build, tree);
        double total = record.wires(build).stream()
                .flatMap(w -> tree.way(w.fromName(), w.toName()).stream())
                .mapToDouble(LoomTree.Way::length)
                .sum();
        return new LoomResponse(
                modules.stream().map(LoomService::response).toList(),
                record.head(build).map(LoomRepository.Head::workId).orElse(null),
                decisions.undecided(),
                decisions.broken(),
                figure(QuantityKind.MASS, decisions.saved()),
                tree.points().stream()
                        .map(p -> new LoomResponse.PointResponse(
                                p.name(),
                                p.from(),
                                p.from().isEmpty() ? "" : QuantityText.say(QuantityKind.LENGTH, p.length(), METRIC),
                                p.length()))
                        .toList(),
                wires,
                figure(QuantityKind.LENGTH, total),
                record.head(build).map(LoomRepository.Head::version).orElse(0));
    }

    /** The wires of a car with their ways. */
    List<LoomResponse.WireResponse> wires(String build, LoomTree tree) {
        return record.wires(build).stream()
                .map(w -> {
                    Optional<LoomTree.Way> way = tree.way(w.fromName(), w.toName());
                    return new LoomResponse.WireResponse(
                            w.circuit(),
                            w.fromName(),
                            w.toName(),
                            w.size(),
                            w.colour(),
                            way.map(LoomTree.Way::points).orElse(List.of()),
                            figure(
                                    QuantityKind.LENGTH,
                                    way.map(LoomTree.Way::length).orElse(0.0)));
                })
                .toList();
    }

    LoomTree tree(String build) {
        return record.tree(build);
    }

    String car(String build) {
        return names.build(build).orElseThrow(() -> new NotFoundException("build"));
    }

    private static LoomResponse.ModuleResponse response(LoomRepository.Module m) {
        return new LoomResponse.ModuleResponse(
                m.id(),
                m.name(),
                m.kind(),
                m.decision(),
                m.needs().stream().sorted().toList(),
                m.mass() == 0 ? "" : QuantityText.say(QuantityKind.MASS, m.mass(), METRIC),
                m.note(),
                m.by(),
                m.at(),
                m.version());
    }

    /** A rewire starts as research: whoever finds a module writes it down. */
    @AnyHand
    String add(String build, ModuleRequest form) {
        double mass = check(form);
        String[] id = new String[1];
        journal.judge(() -> {
            String car = car(build);
            List<LoomRepository.Module> there = record.modules(build);
            known(there, null, form);
            id[0] = record.write(
                    null, build, form, mass, by(form), form.decision() == UNDECIDED ? null : clock.instant());
            return thenHold(build, "wrote down the module " + form.name().strip() + " of " + car);
        });
        return id[0];
    }

    private static final LoomModule.Decision UNDECIDED = LoomModule.Decision.UNDECIDED;

    private @Nullable String by(ModuleRequest form) {
        return form.decision() == UNDECIDED ? null : who.name();
    }

    /** What becomes of a module is for a lead to say. */
    @LeadOrManager
    void change(String module, ModuleRequest form) {
        double mass = check(form);
        journal.judge(() -> {
            String build = record.carOf(module).orElseThrow(() -> new NotFoundException("module"));
            List<LoomRepository.Module> all = record.modules(build);
            LoomRepository.Module there =
                    all.stream().filter(m -> m.id().equals(module)).findFirst().orElseThrow();
            if (there.version() != form.version()) {
                throw new ConflictException("Somebody else has changed this module.", there.version(), List.of());
            }
            known(all, module, form);
            boolean decides = there.decision() != form.decision();
            record.write(
                    module,
                    build,
                    form,
                    mass,
                    decides ? by(form) : there.by(),
                    decides ? (form.decision() == UNDECIDED ? null : clock.instant()) : there.at());
            return thenHold(
                    build,
                    decides
                            ? "decided on " + car(build) + ": " + form.name().strip() + ", " + said(form.decision())
                            : "changed the module " + form.name().strip() + " of " + car(build));
        });
    }

    private static String said(LoomModule.Decision decision) {
        return decision.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    @LeadOrManager
    void remove(String module) {
        journal.judge(() -> {
            String build = record.carOf(module).orElseThrow(() -> new NotFoundException("module"));
            record.remove(module);
            return thenHold(build, "took a module of " + car(build) + " off the list");
        });
    }

    /** Which job waits until all is decided. */
    @LeadOrManager
    void waits(String build, LoomJobRequest form) {
        journal.judge(() -> {
            String car = car(build);
            String before = record.head(build).map(LoomRepository.Head::workId).orElse(null);
            if (form.workId() != null && record.openWork(form.workId(), build).isEmpty()) {
                throw new ValidationException("workId", "This is no open job of this car.");
            }
            if (before != null && !before.equals(form.workId())) {
                journal.say("chose another job of " + car + " to wait for modules");
                lift(before);
            }
            record.waits(build, form.workId());
            hold(build);
            return form.workId() == null
                    ? "no job of " + car + " waits for modules"
                    : record.openWork(form.workId(), build).orElse("a job") + " of " + car
                            + " waits until all modules are decided";
        });
    }

    /** Says what the change is, and then what it makes of the loom job. */
    private String thenHold(String build, String summary) {
        journal.say(summary);
        hold(build);
        return summary;
    }

    /** Holds the loom job where something is undecided, and lets it go where nothing is any more. */
    private void hold(String build) {
        String work = record.head(build).map(LoomRepository.Head::workId).orElse(null);
        if (work == null || record.openWork(work, build).isEmpty()) {
            return;
        }
        List<String> undecided = LoomDecisions.of(record.modules(build).stream()
                        .map(LoomRepository.Module::core)
                        .toList())
                .undecided();
        Optional<String> held = record.heldWith(work);
        String note = OURS
                + undecided.stream().limit(4).collect(Collectors.joining(", "))
                + (undecided.size() > 4 ? " and " + (undecided.size() - 4) + " more" : "");
        if (undecided.isEmpty()) {
            lift(work);
        } else if (held.isEmpty() || (held.get().startsWith(OURS) && !held.get().equals(note))) {
            progress.hold(work, new HoldRequest(ReasonTag.DECIDE, note, null));
        }
    }

    private void lift(String work) {
        if (record.heldWith(work).filter(h -> h.startsWith(OURS)).isPresent()) {
            progress.release(work);
        }
    }

    private static void known(List<LoomRepository.Module> there, @Nullable String id, ModuleRequest form) {
        String name = form.name().strip();
        if (there.stream().anyMatch(m -> !m.id().equals(id) && m.name().equalsIgnoreCase(name))) {
            throw new ValidationException("name", name + " is there already.");
        }
        for (String need : form.needs() == null ? List.<String>of() : form.needs()) {
            if (need.equals(id) || there.stream().noneMatch(m -> m.id().equals(need))) {
                throw new ValidationException("needs", "It needs another module of this car.");
            }
        }
    }

    private static double check(ModuleRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (!KINDS.contains(form.kind())) {
            problems.add(new Problem("kind", "A control unit, a sensor or a consumer."));
        }
        double mass = quantity(problems, "mass", QuantityKind.MASS, form.mass());
        ValidationException.throwIfAny(problems);
        return mass;
    }

    private static double quantity(List<Problem> problems, String field, QuantityKind kind, @Nullable String text) {
        if (text == null || text.isBlank()) {
            return 0;
        }
        try {
            double value = QuantityText.read(kind, text, METRIC);
            if (value >= 0 && value <= MOST) {
                return value;
            }
            problems.add(new Problem(field, "0 to " + QuantityText.say(kind, MOST, METRIC) + "."));
        } catch (QuantityText.Unreadable unreadable) {
            problems.add(new Problem(field, unreadable.getMessage()));
        }
        return 0;
    }

    /** Writes the tree and its wires, whole or not at all. */
    @LeadOrManager
    void setTree(String build, LoomTreeRequest form) {
        List<Problem> problems = new ArrayList<>();
        List<LoomTree.Point> points = new ArrayList<>();
        for (int i = 0; i < form.points().size(); i++) {
            LoomTreeRequest.PointRequest p = form.points().get(i);
            points.add(new LoomTree.Point(
                    said(p.name()),
                    said(p.from()),
                    quantity(problems, "points." + i + ".length", QuantityKind.LENGTH, p.length())));
        }
        LoomTree tree = new LoomTree(points);
        problems.addAll(tree.problems());
        Set<String> known = points.stream().map(LoomTree.Point::name).collect(Collectors.toSet());
        Set<String> circuits = new HashSet<>();
        List<LoomRepository.Wire> wires = new ArrayList<>();
        for (int i = 0; i < form.wires().size(); i++) {
            LoomTreeRequest.WireRequest w = form.wires().get(i);
            String at = "wires." + i + ".";
            if (said(w.circuit()).isEmpty() || !circuits.add(said(w.circuit()))) {
                problems.add(new Problem(
                        at + "circuit", said(w.circuit()).isEmpty() ? "What does it carry?" : "It is there twice."));
            }
            for (String[] end : new String[][] {{"from", said(w.from())}, {"to", said(w.to())}}) {
                if (!known.contains(end[1])) {
                    problems.add(new Problem(at + end[0], "There is no point \"" + end[1] + "\"."));
                }
            }
            wires.add(new LoomRepository.Wire(
                    said(w.circuit()), said(w.from()), said(w.to()), said(w.size()), said(w.colour())));
        }
        if (points.size() > MOST || wires.size() > MOST) {
            problems.add(new Problem("points", "At most " + MOST + "."));
        }
        ValidationException.throwIfAny(problems);
        journal.judge(() -> {
            String car = car(build);
            int version = record.head(build).map(LoomRepository.Head::version).orElse(0);
            if (version != form.version()) {
                throw new ConflictException("Somebody else has changed this loom.", version, List.of());
            }
            record.tree(build, tree, wires);
            return "drew the loom of " + car;
        });
    }

    private static GaugeAnswer.Figure figure(QuantityKind kind, double value) {
        return GaugeAnswer.figure(kind, value, METRIC);
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
