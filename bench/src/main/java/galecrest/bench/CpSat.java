package galecrest.bench;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Job;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A general solver, OR-Tools CP-SAT, on reduced shops (see {@link ReducedShop}): weighted lateness, crews of one,
 * stations, releases, links; no calendars. For comparison only; the product does not use it.
 */
public final class CpSat {
    private static final int SLOT = 5;

    private final ShopSnapshot shop;
    private final CpModel model = new CpModel();
    private final Map<WorkId, IntVar> starts = new HashMap<>();
    private final Map<WorkId, Map<PersonId, Literal>> byPerson = new HashMap<>();
    private final Map<WorkId, Map<StationId, Literal>> byStation = new HashMap<>();
    private final int horizon;

    /**
     * What the solver found.
     *
     * @param lateness weighted hours late
     * @param optimal whether it is proven to be the least
     * @param seconds until it ended
     */
    public record Found(Plan plan, double lateness, boolean optimal, double seconds) {}

    private CpSat(ShopSnapshot shop) {
        this.shop = shop;
        this.horizon = shop.works().stream().mapToInt(w -> slots((Job) w)).sum() + 2000;
    }

    /** Solves a reduced shop within so many seconds; empty where nothing was found. */
    public static Optional<Found> solve(ShopSnapshot shop, double seconds) {
        Loader.loadNativeLibraries();
        return new CpSat(shop).run(seconds);
    }

    private static int slots(Job job) {
        return (int) (job.toDo().value() / SLOT);
    }

    private int slot(Instant at) {
        return (int) (Duration.between(shop.now(), at).toMinutes() / SLOT);
    }

    private Optional<Found> run(double seconds) {
        Map<PersonId, List<IntervalVar>> people = new HashMap<>();
        Map<StationId, List<IntervalVar>> stations = new HashMap<>();
        Map<WorkId, LinearExpr> ends = new HashMap<>();
        for (var work : shop.works()) {
            Job job = (Job) work;
            int release = job.notBefore().map(this::slot).orElse(0);
            IntVar start = model.newIntVar(release, horizon, "s" + job.id());
            starts.put(job.id(), start);
            ends.put(job.id(), LinearExpr.affine(start, 1, slots(job)));
            Map<PersonId, Literal> who = new HashMap<>();
            for (var person : shop.people()) {
                if (person.can(job.crew().get(0).skill(), job.crew().get(0).least())) {
                    BoolVar here = model.newBoolVar("");
                    who.put(person.id(), here);
                    people.computeIfAbsent(person.id(), p -> new ArrayList<>()).add(optional(start, slots(job), here));
                }
            }
            model.addExactlyOne(who.values());
            byPerson.put(job.id(), who);
            if (job.stationKind().isPresent()) {
                Map<StationId, Literal> where = new HashMap<>();
                for (var station : shop.stations()) {
                    if (station.kind().equals(job.stationKind().get())) {
                        BoolVar here = model.newBoolVar("");
                        where.put(station.id(), here);
                        stations.computeIfAbsent(station.id(), s -> new ArrayList<>())
                                .add(optional(start, slots(job), here));
                    }
                }
                model.addExactlyOne(where.values());
                byStation.put(job.id(), where);
            }
        }
        people.values().forEach(model::addNoOverlap);
        stations.values().forEach(model::addNoOverlap);
        shop.links().forEach(l -> model.addGreaterOrEqual(starts.get(l.then()), ends.get(l.first())));
        LinearExprBuilder lateness = LinearExpr.newBuilder();
        for (Commitment commitment : shop.commitments()) {
            IntVar late = model.newIntVar(0, horizon, "late" + commitment.id());
            for (var work : shop.works()) {
                if (commitment.needs(work)) {
                    model.addGreaterOrEqual(
                            late,
                            LinearExpr.newBuilder().add(ends.get(work.id())).add(-slot(commitment.due())));
                }
            }
            lateness.addTerm(late, Math.round(commitment.weight()));
        }
        model.minimize(lateness);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(seconds).setNumWorkers(2).setRandomSeed(1);
        CpSolverStatus status = solver.solve(model);
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            return Optional.empty();
        }
        return Optional.of(new Found(
                plan(solver),
                solver.objectiveValue() * SLOT / 60,
                status == CpSolverStatus.OPTIMAL,
                solver.wallTime()));
    }

    private IntervalVar optional(IntVar start, int length, Literal here) {
        return model.newOptionalFixedSizeIntervalVar(start, length, here, "");
    }

    private Instant instant(long slot) {
        return shop.now().plus(Duration.ofMinutes(slot * SLOT));
    }

    /** The solution as a plan, for the audit. */
    private Plan plan(CpSolver solver) {
        List<Plan.Placed> placed = new ArrayList<>();
        Map<WorkId, Instant> ready = new HashMap<>();
        for (var work : shop.works()) {
            Job job = (Job) work;
            Instant from = instant(solver.value(starts.get(job.id())));
            Instant to = from.plus(Duration.ofMinutes((long) slots(job) * SLOT));
            ready.put(job.id(), to);
            placed.add(new Plan.Placed(
                    job.id(),
                    from,
                    to,
                    to,
                    List.of(new Span(from, to)),
                    List.of(chosen(solver, byPerson.get(job.id()))),
                    Optional.ofNullable(byStation.get(job.id())).map(s -> chosen(solver, s)),
                    false,
                    new Because.Nothing()));
        }
        List<Plan.Outlook> outlooks = shop.commitments().stream()
                .map(c -> {
                    var last = shop.works().stream()
                            .filter(c::needs)
                            .max((a, b) -> ready.get(a.id()).compareTo(ready.get(b.id())))
                            .orElseThrow();
                    Instant finish = ready.get(last.id());
                    return new Plan.Outlook(
                            new CommitmentId(c.id().value()),
                            Optional.of(finish),
                            Optional.of(
                                    Minutes.of(Duration.between(finish, c.due()).toMinutes())),
                            List.of(last.id()),
                            List.of());
                })
                .toList();
        return new Plan(
                shop.now(),
                placed,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                outlooks,
                new Score(0, 0, 0, 0, 0, 0, 0, 0, 0));
    }

    private static <T> T chosen(CpSolver solver, Map<T, Literal> among) {
        return among.entrySet().stream()
                .filter(e -> solver.booleanValue(e.getValue()))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }
}
