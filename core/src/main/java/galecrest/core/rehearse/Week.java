package galecrest.core.rehearse;

import galecrest.core.plan.ShopSnapshot;
import galecrest.core.rescue.Move;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * A whole rehearsal: a week played with what somebody decided at each turn, and beside it what the planner alone would have
 * come to with the same luck.
 */
public final class Week {
    private Week() {}

    /** Somebody no longer wants to know. */
    public static final class Cancelled extends RuntimeException {
        public Cancelled() {
            super("cancelled");
        }
    }

    /**
     * What somebody decided.
     *
     * @param turn at which turn, from 0
     * @param said in words
     */
    public record Decision(int turn, List<Move> moves, String said) {
        public Decision {
            moves = List.copyOf(moves);
        }
    }

    /**
     * What a week came to.
     *
     * @param lateness hours late, all dates together, each by how much it matters
     */
    public record Outcome(Instant end, List<Standing> standings, double lateness) {
        public Outcome {
            standings = List.copyOf(standings);
        }
    }

    /** What a decision did to the week: hours late that it cost; negative where it saved them. */
    public record Cost(Decision decision, double hours) {}

    /**
     * The comparison at the end.
     *
     * @param yours with what was decided
     * @param planners with the best offered decision at each turn that is worth its effort
     * @param idle with nothing decided at all
     * @param costs of each decision, the costliest first: the week without it against the week with it
     */
    public record Comparison(Outcome yours, Outcome planners, Outcome idle, List<Cost> costs) {
        public Comparison {
            costs = List.copyOf(costs);
        }

        /** The decision that cost most; empty where none cost anything. */
        public Optional<Cost> costliest() {
            return costs.stream().filter(c -> c.hours() > 0.01).findFirst();
        }
    }

    /** The shop after so many turns with what was decided. */
    public static Rehearsal after(ShopSnapshot shop, Luck luck, List<Decision> decisions, int turns) {
        Rehearsal week = new Rehearsal(shop, luck);
        for (int turn = 0; turn < turns; turn++) {
            decide(week, decisions, turn);
            week.playOn();
        }
        decide(week, decisions, turns);
        return week;
    }

    private static void decide(Rehearsal week, List<Decision> decisions, int turn) {
        decisions.stream().filter(d -> d.turn() == turn).forEach(d -> week.decide(d.moves()));
    }

    /** What could be decided now; the most worth first. */
    public static List<Choice> choices(Rehearsal week) {
        return Choices.of(week);
    }

    /**
     * Compares a week that was played with what the planner alone would have come to.
     *
     * @param goOn asked between weeks; it ends with {@link Cancelled} where it says no
     */
    public static Comparison compare(
            ShopSnapshot shop, Luck luck, List<Decision> decisions, int turns, BooleanSupplier goOn) {
        Outcome yours = outcome(after(shop, luck, decisions, turns));
        check(goOn);
        Outcome idle = decisions.isEmpty() ? yours : outcome(after(shop, luck, List.of(), turns));
        check(goOn);
        Outcome planners = planners(shop, luck, turns, goOn);
        List<Cost> costs = new ArrayList<>();
        for (Decision decision : decisions) {
            check(goOn);
            List<Decision> without =
                    decisions.stream().filter(d -> d != decision).toList();
            Outcome other = outcome(after(shop, luck, without, turns));
            costs.add(new Cost(decision, yours.lateness() - other.lateness()));
        }
        costs.sort(java.util.Comparator.comparingDouble(Cost::hours).reversed());
        return new Comparison(yours, planners, idle, costs);
    }

    private static void check(BooleanSupplier goOn) {
        if (!goOn.getAsBoolean()) {
            throw new Cancelled();
        }
    }

    private static Outcome planners(ShopSnapshot shop, Luck luck, int turns, BooleanSupplier goOn) {
        Rehearsal week = new Rehearsal(shop, luck);
        for (int turn = 0; turn < turns; turn++) {
            check(goOn);
            Choices.of(week).stream().filter(c -> c.worth() > 0).findFirst().ifPresent(c -> week.decide(c.moves()));
            week.playOn();
        }
        return outcome(week);
    }

    private static Outcome outcome(Rehearsal week) {
        return new Outcome(week.shop().now(), week.standings(), week.lateness());
    }
}
