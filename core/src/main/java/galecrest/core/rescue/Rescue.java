package galecrest.core.rescue;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.risk.MonteCarlo;
import galecrest.core.risk.RiskOptions;
import galecrest.core.risk.RiskProfile;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Tries the moves that would win a date back: each alone, then the best in pairs. Every one is planned and simulated
 * anew, with the same luck, so that what differs is the move.
 */
public final class Rescue {
    /** Enough trials to see what is often on a chain. */
    private static final int FEW = 40;

    private static final int PAIRED = 4;
    /** An hour of margin counts as much as so much chance; margins beyond a week count no more. */
    private static final double CHANCE_OF_HOUR = 0.01;

    private static final double MOST_HOURS = 40;
    /** Telling one person otherwise bothers as much as so many hours. */
    private static final double HOURS_OF_TELLING = 0.5;

    private final ShopSnapshot shop;
    private final Commitment commitment;
    private final RiskOptions luck;
    private final Consumer<Progress> progress;
    private final Outcome before;
    /** The same car let go, without a move: what is won that way is not the move's doing. */
    private final Outcome idle;

    private int done;
    private int all;

    /**
     * How far it is.
     *
     * @param tried the best so far first
     */
    public record Progress(int done, int all, List<Tried> tried) {}

    /** Thrown by a progress listener that wants no more. */
    public static final class Cancelled extends RuntimeException {
        public Cancelled() {
            super("cancelled", null, false, false);
        }
    }

    /**
     * What moves tried together came to.
     *
     * @param marginBefore shop hours in hand at the date; empty where it cannot be planned
     * @param others every other commitment whose margin or chance moved
     * @param told people for whom something moves
     * @param effort hours of effort: what the moves ask, and telling people
     * @param worth what is won, less what others lose, for an hour of effort
     */
    public record Tried(
            List<Move> moves,
            List<String> words,
            Optional<Minutes> marginBefore,
            Optional<Minutes> marginAfter,
            double chanceBefore,
            double chanceAfter,
            List<Effect> others,
            Set<PersonId> told,
            double effort,
            double worth) {
        public Tried {
            moves = List.copyOf(moves);
            words = List.copyOf(words);
            others = List.copyOf(others);
            told = Set.copyOf(told);
        }
    }

    /** What happens to another commitment. */
    public record Effect(
            CommitmentId commitment,
            Optional<Minutes> marginBefore,
            Optional<Minutes> marginAfter,
            double chanceBefore,
            double chanceAfter) {}

    private record Outcome(Plan plan, RiskProfile chance) {}

    private Rescue(ShopSnapshot shop, Plan plan, Commitment commitment, RiskOptions luck, Consumer<Progress> progress) {
        this.shop = shop;
        this.commitment = commitment;
        this.luck = luck;
        this.progress = progress;
        this.before = simulated(shop, plan);
        this.idle = outcome(shop);
    }

    /**
     * All that helps, the most worth first; moves that win nothing are left out.
     *
     * @param plan the present plan
     * @param progress told after each try; ends it by throwing {@link Cancelled}
     */
    public static List<Tried> of(
            ShopSnapshot shop, Plan plan, CommitmentId commitment, RiskOptions luck, Consumer<Progress> progress) {
        Commitment which = shop.commitments().stream()
                .filter(c -> c.id().equals(commitment))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no commitment " + commitment + "."));
        return new Rescue(shop, plan, which, luck, progress).run();
    }

    /** The moves that could help a date, not tried yet; for whoever weighs them otherwise. */
    public static List<List<Move>> candidates(ShopSnapshot shop, Plan plan, CommitmentId commitment) {
        Commitment which = shop.commitments().stream()
                .filter(c -> c.id().equals(commitment))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no commitment " + commitment + "."));
        RiskProfile chance = MonteCarlo.of(shop, plan, RiskOptions.of(FEW, 1, 1), done -> true)
                .orElseThrow();
        return new Candidates(shop, plan, chance, which).moves();
    }

    private List<Tried> run() {
        List<List<Move>> candidates = new Candidates(shop, before.plan(), before.chance(), commitment).moves();
        all = candidates.size() + PAIRED * (PAIRED - 1) / 2;
        List<Tried> tried = new ArrayList<>();
        for (List<Move> moves : candidates) {
            attempt(moves, tried);
        }
        List<List<Move>> best = tried.stream()
                .map(Tried::moves)
                .filter(moves -> !(moves.get(0) instanceof Move.SwapEvent))
                .limit(PAIRED)
                .toList();
        List<List<Move>> pairs = pairs(best);
        all = candidates.size() + pairs.size();
        for (List<Move> moves : pairs) {
            attempt(moves, tried);
        }
        return tried;
    }

    private static List<List<Move>> pairs(List<List<Move>> of) {
        List<List<Move>> pairs = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            for (int j = i + 1; j < of.size(); j++) {
                List<Move> both = Stream.concat(of.get(i).stream(), of.get(j).stream())
                        .distinct()
                        .toList();
                if (!sameThing(both)) {
                    pairs.add(both);
                }
            }
        }
        return pairs;
    }

    /** Whether they do two things with one part: who goes on without it need not have it sent. */
    private static boolean sameThing(List<Move> moves) {
        return moves.stream()
                .anyMatch(m -> m instanceof Move.Expedite e && moves.contains(new Move.InterimFix(e.part())));
    }

    private void attempt(List<Move> moves, List<Tried> tried) {
        ShopSnapshot changed = shop;
        for (Move move : moves) {
            changed = MoveEffects.apply(changed, move);
        }
        Tried result = compare(moves, outcome(changed));
        Outlook idly = outlook(idle);
        boolean wins = won(idly.margin(), result.marginAfter(), idly.chance(), result.chanceAfter()) > 0.001
                && won(result.marginBefore(), result.marginAfter(), result.chanceBefore(), result.chanceAfter())
                        > 0.001;
        if (wins) {
            tried.add(result);
            tried.sort(Comparator.comparingDouble(Tried::worth).reversed());
        }
        done++;
        progress.accept(new Progress(done, all, List.copyOf(tried)));
    }

    /** The present plan, mended with the change in it and the car of the date let go, so that it can make use of it. */
    private Outcome outcome(ShopSnapshot changed) {
        ShopSnapshot standing = changed.withTaken(before.plan());
        PlanOptions options = PlanOptions.interactive(standing).lettingGo(Set.of(commitment.build()));
        return simulated(standing, Planner.plan(standing, options));
    }

    private Outcome simulated(ShopSnapshot changed, Plan plan) {
        return new Outcome(plan, MonteCarlo.of(changed, plan, luck, d -> true).orElseThrow());
    }

    /** What the date has of an outcome. */
    private record Outlook(Optional<Minutes> margin, double chance) {}

    private Outlook outlook(Outcome outcome) {
        int c = shop.commitments().indexOf(commitment);
        return new Outlook(
                outcome.plan().outlooks().get(c).margin(),
                outcome.chance().odds().get(c).chance());
    }

    private Tried compare(List<Move> moves, Outcome after) {
        Map<CommitmentId, Plan.Outlook> now = new HashMap<>();
        after.plan().outlooks().forEach(o -> now.put(o.commitment(), o));
        List<Effect> effects = new ArrayList<>();
        Effect own = null;
        for (int c = 0; c < shop.commitments().size(); c++) {
            CommitmentId id = shop.commitments().get(c).id();
            Effect effect = new Effect(
                    id,
                    before.plan().outlooks().get(c).margin(),
                    now.get(id).margin(),
                    before.chance().odds().get(c).chance(),
                    after.chance().odds().get(c).chance());
            if (id.equals(commitment.id())) {
                own = effect;
            } else if (!effect.marginBefore().equals(effect.marginAfter())
                    || Math.abs(effect.chanceBefore() - effect.chanceAfter()) >= 0.005) {
                effects.add(effect);
            }
        }
        Effect mine = java.util.Objects.requireNonNull(own);
        Set<PersonId> told = PlanDifference.between(before.plan(), after.plan()).toTell(shop);
        double effort = HOURS_OF_TELLING * told.size()
                + moves.stream().mapToDouble(m -> MoveEffort.hours(shop, m)).sum();
        double won = won(mine.marginBefore(), mine.marginAfter(), mine.chanceBefore(), mine.chanceAfter());
        double lost = effects.stream()
                .mapToDouble(
                        e -> Math.min(0, won(e.marginBefore(), e.marginAfter(), e.chanceBefore(), e.chanceAfter())))
                .sum();
        return new Tried(
                moves,
                MoveText.say(shop, moves),
                mine.marginBefore(),
                mine.marginAfter(),
                mine.chanceBefore(),
                mine.chanceAfter(),
                effects,
                told,
                effort,
                (won + lost) / Math.max(0.5, effort));
    }

    /** Chance won, with the margin won counted as some more. */
    private static double won(
            Optional<Minutes> marginBefore, Optional<Minutes> marginAfter, double chanceBefore, double chanceAfter) {
        double hours = hours(marginAfter) - hours(marginBefore);
        return chanceAfter - chanceBefore + CHANCE_OF_HOUR * Math.max(-MOST_HOURS, Math.min(MOST_HOURS, hours));
    }

    /** Hours in hand; beyond a week of them no more is won. */
    private static double hours(Optional<Minutes> margin) {
        return margin.map(m -> Math.min(MOST_HOURS, m.hours())).orElse(-4 * MOST_HOURS);
    }
}
