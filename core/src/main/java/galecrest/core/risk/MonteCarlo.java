package galecrest.core.risk;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.time.Span;
import galecrest.core.vendor.OfferedSlot;
import galecrest.core.work.Outwork;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Replays a plan many times with what is uncertain drawn anew (Monte Carlo; van Slyke, 1963). Each trial keeps to the
 * policy of the plan, not to its times: the same people at the same stations take the work in the same order, moving on
 * to what comes later where the next is blocked; see {@link Replay}.
 */
public final class MonteCarlo {
    private static final int SPREAD = 20;
    private static final double RARE = 0.02;
    private static final int DRIVERS = 8;
    /** So many of what is most often on the chain are looked at as drivers. */
    private static final int CANDIDATES = 60;

    private final SchedulingProblem problem;
    private final UncertaintyModel uncertain;
    private final RiskOptions options;
    private final Replay replay;
    private final int[][] finishes;
    /** The outwork whose leaving is looked at, and from when on it could in each trial. */
    private final List<Integer> leaving;

    private final int[][] free;
    private final int[][] onChain;
    private final int[] overran;
    private final Map<UncertaintyModel.Thing, double[]> lucks = new HashMap<>();

    private MonteCarlo(ShopSnapshot shop, Plan plan, RiskOptions options) {
        this.options = options;
        problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        uncertain = new UncertaintyModel(problem, options);
        replay = new Replay(problem, plan);
        replay.policy.stayOn = TimeGrid.slotsFor(shop.rules().stayOn().value());
        finishes = new int[shop.commitments().size()][options.trials()];
        onChain = new int[shop.commitments().size()][problem.size];
        overran = new int[problem.size];
        leaving = IntStream.range(0, problem.size)
                .filter(node -> problem.network.works.get(node) instanceof Outwork o
                        && o.away().isEmpty()
                        && (o.slot().isPresent() || !offered(o).isEmpty()))
                .boxed()
                .toList();
        free = new int[leaving.size()][options.trials()];
    }

    private List<OfferedSlot> offered(Outwork outwork) {
        ShopSnapshot shop = problem.network.shop;
        return shop.vendor(outwork.vendor()).stream()
                .flatMap(v -> v.slots().stream())
                .filter(s -> s.when().from().isAfter(shop.now()))
                .toList();
    }

    /**
     * The odds of a plan.
     *
     * @param plan that is replayed: it is taken as it is, however it came about
     * @param goOn told how many trials are done; the result is empty where it says no
     */
    public static Optional<RiskProfile> of(ShopSnapshot shop, Plan plan, RiskOptions options, IntPredicate goOn) {
        return new MonteCarlo(shop, plan, options).run(goOn);
    }

    private Optional<RiskProfile> run(IntPredicate goOn) {
        AtomicInteger next = new AtomicInteger();
        AtomicInteger done = new AtomicInteger();
        boolean[] stopped = new boolean[1];
        Runnable worker = () -> {
            SchedulingProblem trial = replay.policy.copy(replay.policy.activities);
            SerialScheduler schedule = Replay.schedule(trial);
            int[][] chains = new int[onChain.length][problem.size];
            int[] beyond = new int[problem.size];
            for (int t = next.getAndIncrement(); t < options.trials() && !stopped[0]; t = next.getAndIncrement()) {
                uncertain.draw(trial, t);
                schedule.generate(replay.order, replay.choices);
                note(schedule, t, chains);
                for (int node : replay.order) {
                    beyond[node] += schedule.overran[node] ? 1 : 0;
                }
                if (!goOn.test(done.incrementAndGet())) {
                    stopped[0] = true;
                }
            }
            synchronized (onChain) {
                for (int c = 0; c < onChain.length; c++) {
                    for (int node = 0; node < problem.size; node++) {
                        onChain[c][node] += chains[c][node];
                    }
                }
                for (int node = 0; node < problem.size; node++) {
                    overran[node] += beyond[node];
                }
            }
        };
        IntStream.range(0, options.threads()).parallel().forEach(i -> worker.run());
        return stopped[0]
                ? Optional.empty()
                : Optional.of(new RiskProfile(
                        options.trials(),
                        options.seed(),
                        IntStream.range(0, finishes.length).mapToObj(this::odds).toList(),
                        IntStream.range(0, free.length)
                                .mapToObj(this::departure)
                                .toList(),
                        overruns()));
    }

    private void note(SerialScheduler schedule, int trial, int[][] chains) {
        for (int i = 0; i < free.length; i++) {
            free[i][trial] = schedule.free(leaving.get(i));
        }
        for (int c = 0; c < finishes.length; c++) {
            int last = -1;
            boolean all = true;
            for (int node : problem.network.needs[c]) {
                all &= schedule.planned(node);
                if (all && (last < 0 || schedule.ready[node] > schedule.ready[last])) {
                    last = node;
                }
            }
            finishes[c][trial] = !all ? WorkingWindows.NEVER : last < 0 ? 0 : schedule.ready[last];
            int node = all ? last : -1;
            for (int length = 0; node >= 0 && length < problem.size; length++) {
                chains[c][node]++;
                node = schedule.blocker(node);
            }
        }
    }

    private List<RiskProfile.Overrun> overruns() {
        return IntStream.range(0, problem.size)
                .filter(node -> overran[node] >= RARE * options.trials())
                .mapToObj(node -> new RiskProfile.Overrun(
                        problem.network.works.get(node).id(), overran[node] / (double) options.trials()))
                .sorted(Comparator.comparingDouble((RiskProfile.Overrun o) -> -o.share())
                        .thenComparing(RiskProfile.Overrun::work))
                .toList();
    }

    private RiskProfile.Departure departure(int i) {
        Outwork outwork = (Outwork) problem.network.works.get(leaving.get(i));
        int[] sorted = free[i].clone();
        Arrays.sort(sorted);
        return new RiskProfile.Departure(
                outwork.id(),
                at(sorted, 0.5),
                at(sorted, 0.8),
                outwork.slot().map(Span::from),
                outwork.slot().map(s -> inTime(sorted, outwork, s)),
                offered(outwork).stream()
                        .map(s -> new RiskProfile.InTime(s, inTime(sorted, outwork, s.when())))
                        .toList());
    }

    /** The share of trials in which the outwork could leave early enough to be there when its time begins. */
    private double inTime(int[] sorted, Outwork outwork, Span slot) {
        int leaves = problem.grid.atOrBefore(slot.from().minus(outwork.transportOut()));
        return Arrays.stream(sorted).filter(f -> f <= leaves).count() / (double) sorted.length;
    }

    private RiskProfile.Odds odds(int c) {
        var commitment = problem.network.shop.commitments().get(c);
        int due = problem.grid.atOrBefore(commitment.due());
        int[] sorted = finishes[c].clone();
        Arrays.sort(sorted);
        int n = options.trials();
        double chance = Arrays.stream(sorted).filter(f -> f <= due).count() / (double) n;
        List<Instant> spread = IntStream.rangeClosed(0, SPREAD)
                .mapToObj(i -> at(sorted, i / (double) SPREAD))
                .flatMap(Optional::stream)
                .toList();
        return new RiskProfile.Odds(
                commitment.id(),
                chance,
                Math.sqrt(chance * (1 - chance) / n),
                at(sorted, 0.5),
                at(sorted, 0.8),
                at(sorted, 0.95),
                spread,
                chain(c),
                drivers(c));
    }

    /** The ranks of the luck of a thing over the trials. */
    private double[] luck(UncertaintyModel.Thing thing) {
        return RankCorrelation.of(IntStream.range(0, options.trials())
                .mapToDouble(t -> CommonRandomNumbers.of(options.seed(), t, thing.mark()))
                .toArray());
    }

    /** The instant by which a share of the trials was ready: the nearest rank. */
    private Optional<Instant> at(int[] sorted, double share) {
        int rank = Math.max(0, (int) Math.ceil(share * sorted.length) - 1);
        return sorted[rank] == WorkingWindows.NEVER
                ? Optional.empty()
                : Optional.of(problem.grid.instant(sorted[rank]));
    }

    private List<RiskProfile.OnChain> chain(int c) {
        List<RiskProfile.OnChain> chain = new ArrayList<>();
        for (int node = 0; node < problem.size; node++) {
            double share = onChain[c][node] / (double) options.trials();
            if (share >= RARE) {
                chain.add(
                        new RiskProfile.OnChain(problem.network.works.get(node).id(), share));
            }
        }
        chain.sort(Comparator.comparingDouble(RiskProfile.OnChain::share)
                .reversed()
                .thenComparing(RiskProfile.OnChain::work));
        return chain;
    }

    private List<RiskProfile.Driver> drivers(int c) {
        double[] finish = Arrays.stream(finishes[c]).asDoubleStream().toArray();
        double[] ranks = RankCorrelation.of(finish);
        List<RiskProfile.Driver> drivers = new ArrayList<>();
        uncertain.things().stream()
                .filter(t -> onChain[c][t.node()] >= RARE * options.trials())
                .sorted(Comparator.comparingInt(t -> -onChain[c][t.node()]))
                .limit(CANDIDATES)
                .forEach(thing -> {
                    double correlation = RankCorrelation.correlation(lucks.computeIfAbsent(thing, this::luck), ranks);
                    drivers.add(new RiskProfile.Driver(thing.what(), thing.id(), correlation));
                });
        drivers.sort(Comparator.comparingDouble((RiskProfile.Driver d) -> -Math.abs(d.correlation()))
                .thenComparing(RiskProfile.Driver::id));
        return drivers.subList(0, Math.min(DRIVERS, drivers.size()));
    }
}
