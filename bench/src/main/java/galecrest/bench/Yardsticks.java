package galecrest.bench;

import galecrest.core.audit.PlanAudit;
import galecrest.core.audit.Violation;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.risk.MonteCarlo;
import galecrest.core.risk.RiskOptions;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Measures the planner against its yardsticks: classic instances, a large shop, growth, a general solver. */
final class Yardsticks {
    private static final long ENDLESS = Long.MAX_VALUE / 64;
    private static final long SEED = 1;
    private static final int BUILDS = 12;
    private static final int JOBS = 83;
    /** The growth is the middle of so many ratios. */
    private static final int GROWTHS = 31;

    private final List<String> rows = new ArrayList<>();

    /** One row of the table: what, what must be reached, what was measured. */
    private void row(String what, String must, String measured) {
        String row = "| " + what + " | " + must + " | " + measured + " |";
        System.out.println(row);
        rows.add(row);
    }

    static List<String> measure(Optional<Path> instances) throws IOException {
        Yardsticks yardsticks = new Yardsticks();
        instances.ifPresent(yardsticks::classics);
        yardsticks.largeShop();
        yardsticks.runway();
        yardsticks.growth();
        yardsticks.generalSolver();
        return yardsticks.rows;
    }

    private static Plan within(ShopSnapshot shop, double seconds) {
        long end = System.nanoTime() + (long) (seconds * 1e9);
        Plan plan = Planner.think(shop, PlanOptions.thorough(ENDLESS, SEED), (s, b) -> System.nanoTime() < end)
                .plan();
        audited(shop, plan);
        return plan;
    }

    private static void audited(ShopSnapshot shop, Plan plan) {
        List<Violation> violations = PlanAudit.violations(shop, plan);
        if (!violations.isEmpty()) {
            throw new IllegalStateException("The plan breaks rules: " + violations);
        }
    }

    private void classics(Path folder) {
        Map<String, Integer> best = new HashMap<>();
        for (String line : lines(folder.resolve("optima.csv"))) {
            String[] fields = line.split(",");
            if (fields.length > 3 && fields[3].matches("\\d+")) {
                best.put(fields[0], Integer.parseInt(fields[3]));
            }
        }
        ShopSnapshot small = read(folder.resolve("ft06.txt"));
        within(small, 1);
        row("job-shop 6×6", "55 within 1 s", Instances.makespan(within(small, 1)) + " in 1 s");
        row(
                "job-shop 10×10",
                "≤ 948 within 5 s, aim ≤ 939",
                Instances.makespan(within(read(folder.resolve("ft10.txt")), 5)) + " in 5 s");
        family(folder, best, "g30", 1, "30 activities", "mean ≤ 0.1 % above the best known, 1 s each");
        family(folder, best, "g60", 2, "60 activities", "mean ≤ 0.4 %, 2 s each");
        family(folder, best, "g120", 5, "120 activities", "mean ≤ 0.4 %, 5 s each");
    }

    private void family(
            Path folder, Map<String, Integer> best, String family, double seconds, String what, String must) {
        double sum = 0;
        int count = 0;
        int below = 0;
        for (Path file : files(folder, family + "_")) {
            String name = file.getFileName().toString().replace(".sm", "");
            long makespan = Instances.makespan(within(read(file), seconds));
            sum += 100.0 * (makespan - best.get(name)) / best.get(name);
            below += makespan < best.get(name) ? 1 : 0;
            count++;
        }
        row(
                what,
                must,
                String.format(Locale.ROOT, "%.2f %% over %d, %d below the best known", sum / count, count, below));
    }

    private static List<String> lines(Path file) {
        try {
            return Files.readAllLines(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<Path> files(Path folder, String beginning) {
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(f -> f.getFileName().toString().startsWith(beginning))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ShopSnapshot read(Path file) {
        return Instances.read(String.join("\n", lines(file)));
    }

    private void largeShop() {
        ShopSnapshot bare = BigShop.of(BUILDS, JOBS, SEED);
        var first = Planner.think(bare, PlanOptions.interactive(bare), (s, b) -> true);
        ShopSnapshot shop = bare.withPublished(first.plan());
        Optional<galecrest.core.plan.WarmStart> guide = Optional.of(first.guide());
        ShopSnapshot[] edited = new ShopSnapshot[1];
        Plan[] last = new Plan[1];
        Times edits = Times.of(30, 60, round -> {
            var work = shop.works().get(round * 7 % shop.works().size());
            edited[0] = shop.withPins(List.of(
                    new Pin.NotBefore(new PinId("bench"), work.id(), shop.now().plus(Duration.ofDays(2)))));
            last[0] = Planner.plan(edited[0], PlanOptions.interactive(edited[0]).from(guide));
        });
        audited(edited[0], last[0]);
        String size = "12 builds, " + shop.works().size() + " jobs, 8 people";
        row(
                size + ": one edit to a new plan, in process",
                "median ≤ 150 ms",
                String.format(Locale.ROOT, "median %.0f ms, p95 %.0f ms", edits.median(), edits.p95()));
        Times trials =
                Times.of(1, 5, round -> MonteCarlo.of(shop, first.plan(), RiskOptions.of(1000, SEED, 2), d -> true));
        row(
                "the same shop, 1,000 Monte Carlo trials",
                "≤ 4 s on two cores",
                String.format(Locale.ROOT, "median %.1f s", trials.median() / 1000));
    }

    private void runway() throws IOException {
        for (String row : RunwaySpeed.measure(BigShop.of(BUILDS, JOBS, SEED))) {
            System.out.println(row);
            rows.add(row);
        }
    }

    private void growth() {
        ShopSnapshot thousand = BigShop.of(BUILDS, JOBS, SEED);
        ShopSnapshot tenThousand = BigShop.of(10 * BUILDS, JOBS, SEED);
        Times.of(30, 1, round -> Planner.plan(thousand, PlanOptions.once()));
        Times.of(15, 1, round -> Planner.plan(tenThousand, PlanOptions.once()));
        // In turn, so that a machine that is slow for a while is so for both.
        double[] ratios = new double[GROWTHS];
        double[] small = new double[GROWTHS];
        double[] large = new double[GROWTHS];
        for (int i = 0; i < GROWTHS; i++) {
            small[i] = Times.of(1, 9, round -> Planner.plan(thousand, PlanOptions.once()))
                    .median();
            large[i] = Times.of(0, 1, round -> Planner.plan(tenThousand, PlanOptions.once()))
                    .median();
            ratios[i] = large[i] / small[i];
        }
        row(
                "growth: constructive plan of 10,000 jobs against 1,000, measured in turn",
                "within 10×",
                String.format(
                        Locale.ROOT,
                        "median %.1f×, quarters %.1f to %.1f× (%.0f ms, %.0f ms)",
                        Times.quantile(ratios, 0.5),
                        Times.quantile(ratios, 0.25),
                        Times.quantile(ratios, 0.75),
                        Times.quantile(large, 0.5),
                        Times.quantile(small, 0.5)));
    }

    private void generalSolver() {
        double ours = 0;
        double theirs = 0;
        int proven = 0;
        int shops = 6;
        double solverSeconds = 20;
        for (int seed = 0; seed < shops; seed++) {
            ShopSnapshot shop = ReducedShop.of(1000L + seed, 60, 8, 5);
            CpSat.Found found = CpSat.solve(shop, solverSeconds).orElseThrow();
            audited(shop, found.plan());
            proven += found.optimal() ? 1 : 0;
            theirs += found.lateness();
            ours += within(shop, solverSeconds / 10).score().hardLateness();
        }
        row(
                "against OR-Tools CP-SAT: 60 jobs, weighted lateness",
                "within 1 % of its best in a tenth of its time",
                String.format(
                        Locale.ROOT,
                        "%+.2f %% (%.1f h against %.1f h over %d shops, %d proven; 2 s against 20 s)",
                        100 * (ours - theirs) / theirs,
                        ours,
                        theirs,
                        shops,
                        proven));
    }
}
