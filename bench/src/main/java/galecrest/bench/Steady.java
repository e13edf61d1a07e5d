package galecrest.bench;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.audit.PlanAudit;
import galecrest.core.build.BuildId;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.SearchListener;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.json.CoreJson;
import galecrest.server.snapshot.SnapshotFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * How still a plan stands: {@code bench steady [--seed N] [--seconds S] [FILE…]} makes forty edits of the demo shop and of
 * the shop of twelve builds (or of snapshot files), mends the plan after each, and says what else moved, whom one must
 * tell for today or tomorrow, how much of what a long search would win is on offer after a sixth of its time, and what the
 * plan comes to where nothing happens but that offers are taken ({@link Everyday}).
 */
final class Steady {
    private static final String USAGE = "./galecrest bench steady [--seed N] [--seconds S] [--verbose] [FILE…]";
    private static final int EDITS = 40;
    /** So many edits that cost the dates most are also searched for long. */
    private static final int WORST = 4;
    /** And of so many one, whatever it costs. */
    private static final int SEARCHED = 7;
    /** An offer comes after this share of the long search. */
    private static final double OFFERED_AFTER = 1 / 6.0;

    private static final Duration HOUR = Duration.ofHours(1);
    /** So many steps that it is time alone that ends a search. */
    static final long ENDLESS = Long.MAX_VALUE / 64;

    private final long seed;
    private final double seconds;
    private final boolean verbose;
    private int broken;

    private Steady(long seed, double seconds, boolean verbose) {
        this.seed = seed;
        this.seconds = seconds;
        this.verbose = verbose;
    }

    /** The exit code: 0 where every plan keeps every rule, 1 where one breaks some, 2 for arguments that cannot be read. */
    static int run(List<String> args) throws IOException, InterruptedException {
        long seed = 1;
        double seconds = 60;
        boolean verbose = false;
        List<Path> files = new ArrayList<>();
        try {
            for (int i = 0; i < args.size(); i++) {
                switch (args.get(i)) {
                    case "--seed" -> seed = Long.parseLong(args.get(++i));
                    case "--seconds" -> seconds = Double.parseDouble(args.get(++i));
                    case "--verbose" -> verbose = true;
                    default -> files.add(Path.of(args.get(i)));
                }
            }
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            System.err.println(USAGE);
            return 2;
        }
        Steady steady = new Steady(seed, seconds, verbose);
        if (files.isEmpty()) {
            System.out.println(steady.line("demo", DemoReplan.shop()));
            System.out.println(steady.line("12 builds", BigShop.of(12, 83, seed)));
        }
        ObjectMapper json = CoreJson.mapper();
        for (Path file : files) {
            ShopSnapshot shop = SnapshotFile.read(json, json.readTree(Files.readString(file)))
                    .shop();
            System.out.println(steady.line(file.getFileName().toString(), shop));
        }
        return steady.broken == 0 ? 0 : 1;
    }

    /** The forty edits of a shop, as one line. */
    private String line(String name, ShopSnapshot bare) {
        ShopSnapshot shop = bare.standing().isPresent() ? bare : bare.withPublished(searched(bare, seconds / 6));
        Plan stands = mended(shop);
        double[] others = new double[EDITS];
        double[] told = new double[EDITS];
        double lost = 0;
        double won = 0;
        double offered = 0;
        List<Plan> after = new ArrayList<>();
        List<Edits.Edit> edits = Edits.of(shop, stands, EDITS, seed);
        for (int i = 0; i < EDITS; i++) {
            Edits.Edit edit = edits.get(i);
            Plan mended = mended(edit.shop());
            others[i] = movedOthers(edit, stands, mended);
            told[i] = toldSoon(edit.shop(), stands, mended).size();
            lost += Math.max(0, mended.score().hardLateness() - stands.score().hardLateness());
            if (verbose) {
                System.out.printf(
                        Locale.ROOT,
                        "  %3.0f moved, %1.0f told, %+6.1f h hard, %+6.1f h promised  %s%n",
                        others[i],
                        told[i],
                        mended.score().hardLateness() - stands.score().hardLateness(),
                        mended.score().promisedLateness() - stands.score().promisedLateness(),
                        edit.what());
            }
            after.add(mended);
        }
        for (int i : seconds > 0 ? searchedAfter(after) : Set.<Integer>of()) {
            Plan mended = after.get(i);
            ShopSnapshot with = edits.get(i).shop().withTaken(mended);
            double repaired = mended.score().hardLateness();
            double best = searched(with, seconds).score().hardLateness();
            double soon = searched(with, seconds * OFFERED_AFTER).score().hardLateness();
            won += Math.max(0, repaired - best);
            offered += Math.max(0, repaired - Math.max(best, soon));
            if (verbose) {
                System.out.printf(
                        Locale.ROOT,
                        "  %.1f h hard after the repair, %.1f h on offer soon, %.1f h after %.0f s  %s%n",
                        repaired,
                        soon,
                        best,
                        seconds,
                        edits.get(i).what());
            }
        }
        return String.format(
                Locale.ROOT,
                "%s: edits=%d moved-others-median=%.0f moved-others-p90=%.0f told-soon-median=%.0f lateness-lost=%.1fh"
                        + " offered-share=%s %saudit=%s",
                name,
                EDITS,
                Times.quantile(others, 0.5),
                Times.quantile(others, 0.9),
                Times.quantile(told, 0.5),
                lost,
                won < 0.01 ? "none to win" : String.format(Locale.ROOT, "%.0f%%", 100 * offered / won),
                seconds > 0 ? Everyday.of(bare, seed, seconds, this::audited) + " " : "",
                broken == 0 ? "ok" : broken + " violations");
    }

    /** Every so many edits, whatever they did, and those by which the dates lost most. */
    private static Set<Integer> searchedAfter(List<Plan> after) {
        Set<Integer> some = new TreeSet<>();
        for (int i = 0; i < after.size(); i += SEARCHED) {
            some.add(i);
        }
        IntStream.range(0, after.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -after.get(i).score().hardLateness()))
                .limit(WORST)
                .forEach(some::add);
        return some;
    }

    private Plan mended(ShopSnapshot shop) {
        return audited(shop, Planner.plan(shop, PlanOptions.interactive(shop)));
    }

    private Plan searched(ShopSnapshot shop, double forSeconds) {
        return audited(
                shop,
                Planner.think(shop, PlanOptions.thorough(ENDLESS, seed), until(forSeconds))
                        .plan());
    }

    /** Ends a search after so many seconds from now. */
    static SearchListener until(double seconds) {
        long end = System.nanoTime() + (long) (seconds * 1e9);
        return (steps, best) -> System.nanoTime() < end;
    }

    private Plan audited(ShopSnapshot shop, Plan plan) {
        var violations = PlanAudit.violations(shop, plan);
        violations.forEach(System.err::println);
        broken += violations.size();
        return plan;
    }

    /** Jobs of other cars that change person or move by more than an hour. */
    private static int movedOthers(Edits.Edit edit, Plan before, Plan after) {
        Map<WorkId, BuildId> builds = new HashMap<>();
        edit.shop().works().forEach(w -> builds.put(w.id(), w.build()));
        return (int) PlanDifference.between(before, after).moved().stream()
                .filter(m -> m.before().isPresent())
                .filter(m -> m.otherCrew()
                        || m.after().map(a -> far(m.before().get(), a)).orElse(true))
                .filter(m -> !Optional.ofNullable(builds.get(m.work())).equals(edit.build()))
                .count();
    }

    private static boolean far(Instant one, Instant other) {
        return Duration.between(one, other).abs().compareTo(HOUR) > 0;
    }

    /** Who does another thing, or at another time, today or tomorrow. */
    private static Set<PersonId> toldSoon(ShopSnapshot shop, Plan before, Plan after) {
        LocalDate today = LocalDate.ofInstant(shop.now(), shop.zone());
        Instant end = today.plusDays(2).atStartOfDay(shop.zone()).toInstant();
        Set<WorkId> open = new HashSet<>();
        shop.works().stream()
                .filter(w -> w.status() != Status.DONE)
                .map(Work::id)
                .forEach(open::add);
        Set<PersonId> told = new TreeSet<>();
        PlanDifference.between(before, after).moved().stream()
                .filter(m -> open.contains(m.work()))
                .filter(m -> m.before().map(b -> b.isBefore(end)).orElse(false)
                        || m.after().map(a -> a.isBefore(end)).orElse(false))
                .forEach(m -> told.addAll(m.concerns()));
        return told;
    }
}
