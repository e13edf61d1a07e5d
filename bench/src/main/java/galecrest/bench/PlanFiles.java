package galecrest.bench;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.audit.PlanAudit;
import galecrest.core.audit.Violation;
import galecrest.core.insight.LowerBound;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.risk.MonteCarlo;
import galecrest.core.risk.RiskProfile;
import galecrest.server.json.CoreJson;
import galecrest.server.snapshot.SnapshotFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Plans files and audits each plan, a line a file: {@code name jobs makespan-or-score lower-bound seconds audit}. RCPSP
 * and job-shop instances say their makespan; snapshots say their score as missing/hard/promised/rest.
 */
final class PlanFiles {
    private static final String USAGE = "./galecrest bench plan [--seconds S] [--seed N] [--replay] FILE…";
    private static final double SECONDS = 5;
    private static final long ENDLESS = Long.MAX_VALUE / 64;

    private final double seconds;
    private final long seed;
    private final boolean replay;
    private final ObjectMapper json = CoreJson.mapper();

    private PlanFiles(double seconds, long seed, boolean replay) {
        this.replay = replay;
        this.seconds = seconds;
        this.seed = seed;
    }

    /** The exit code: 0 where every plan keeps every rule, 1 where one breaks some, 2 where a file cannot be planned. */
    static int run(List<String> args) {
        double seconds = SECONDS;
        long seed = 1;
        boolean replay = false;
        List<Path> files = new ArrayList<>();
        try {
            for (int i = 0; i < args.size(); i++) {
                switch (args.get(i)) {
                    case "--seconds" -> seconds = Double.parseDouble(args.get(++i));
                    case "--replay" -> replay = true;
                    case "--seed" -> seed = Long.parseLong(args.get(++i));
                    default -> files.add(Path.of(args.get(i)));
                }
            }
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            files.clear();
        }
        if (files.isEmpty() || !(seconds > 0 && seconds <= 86_400)) {
            System.err.println("Say what to plan: " + USAGE);
            return 2;
        }
        PlanFiles planner = new PlanFiles(seconds, seed, replay);
        return files.stream().mapToInt(planner::plan).max().orElse(2);
    }

    private int plan(Path file) {
        try {
            String text = Files.readString(file);
            boolean snapshot = text.stripLeading().startsWith("{");
            if (replay) {
                return replay(file, SnapshotFile.read(json, json.readTree(text)));
            }
            ShopSnapshot shop =
                    snapshot ? SnapshotFile.read(json, json.readTree(text)).shop() : Instances.read(text);
            long start = System.nanoTime();
            long end = start + (long) (seconds * 1e9);
            Plan plan = Planner.think(shop, PlanOptions.thorough(ENDLESS, seed), (s, b) -> System.nanoTime() < end)
                    .plan();
            double took = (System.nanoTime() - start) / 1e9;
            List<Violation> violations = PlanAudit.violations(shop, plan);
            long bound = LowerBound.makespan(shop);
            System.out.printf(
                    Locale.ROOT,
                    "%s %d %s %s %.2f audit=%s%n",
                    file.getFileName(),
                    shop.works().size(),
                    snapshot ? said(plan.score()) : "" + Instances.makespan(plan),
                    snapshot ? "0/" + LowerBound.lateness(shop) : "" + bound / Instances.UNIT_MINUTES,
                    took,
                    violations.isEmpty() ? "ok" : violations.size() + " violations");
            violations.forEach(v -> System.err.println("  " + v.rule() + ": " + v.detail()));
            return violations.isEmpty() ? 0 : 1;
        } catch (IOException | IllegalArgumentException e) {
            String why = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
            System.err.println(file + " cannot be planned: " + why);
            return 2;
        }
    }

    /** The plan and the odds that were shown when the snapshot was saved: a line a date. */
    private static int replay(Path file, SnapshotFile snapshot) {
        Plan plan = snapshot.plan();
        RiskProfile chance = MonteCarlo.of(
                        snapshot.shop(),
                        plan,
                        snapshot.luck(Runtime.getRuntime().availableProcessors()),
                        done -> true)
                .orElseThrow();
        List<Violation> violations = PlanAudit.violations(snapshot.shop(), plan);
        System.out.printf(
                Locale.ROOT,
                "%s %d %s audit=%s%n",
                file.getFileName(),
                snapshot.shop().works().size(),
                said(plan.score()),
                violations.isEmpty() ? "ok" : violations.size() + " violations");
        for (int c = 0; c < plan.outlooks().size(); c++) {
            Plan.Outlook outlook = plan.outlooks().get(c);
            System.out.printf(
                    Locale.ROOT,
                    "  %s: ready %s, margin %s min, kept in %.1f %% of %d trials%n",
                    snapshot.shop().commitments().get(c).name(),
                    outlook.finish().map(Object::toString).orElse("never"),
                    outlook.margin().map(m -> "" + m.value()).orElse("no"),
                    100 * chance.odds().get(c).chance(),
                    chance.trials());
        }
        return violations.isEmpty() ? 0 : 1;
    }

    private static String said(Score score) {
        return String.format(
                Locale.ROOT,
                "%d/%.2f/%.2f/%.2f",
                score.missing(),
                score.hardLateness(),
                score.promisedLateness(),
                score.rest());
    }
}
