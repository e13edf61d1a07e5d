package galecrest.core.rehearse;

import galecrest.core.rescue.Move;
import galecrest.core.rescue.MoveEffort;
import galecrest.core.rescue.MoveText;
import galecrest.core.rescue.Rescue;
import galecrest.core.time.Minutes;
import galecrest.core.work.CommitmentId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What could be decided at a turn: moves for the dates that are in trouble, each with what it would win. */
final class Choices {
    /** So many dates are looked at: those with the least to spare. */
    private static final int DATES = 2;

    private static final int MOST = 6;
    /** Less than this makes no difference. */
    private static final double NOTHING = 0.01;
    /** So much more to spare is worth a thought, where nothing is less late by it. */
    private static final double WORTH_HOURS = 0.5;

    private Choices() {}

    /** The most worth first; at most {@value #MOST}. */
    static List<Choice> of(Rehearsal now) {
        List<CommitmentId> worst = now.standings().stream()
                .filter(Standing::inTrouble)
                .sorted(Comparator.comparingDouble(
                        s -> s.margin().map(Minutes::hours).orElse(-1e9)))
                .map(Standing::date)
                .limit(DATES)
                .toList();
        List<Choice> choices = new ArrayList<>();
        double before = now.lateness();
        for (CommitmentId date : worst) {
            for (List<Move> moves : Rescue.candidates(now.shop(), now.plan(), date)) {
                if (moves.stream().anyMatch(m -> m instanceof Move.SwapEvent)) {
                    // To go to another event is to give this one up; that is not won.
                    continue;
                }
                Rehearsal decided = now.deciding(moves);
                double wins = before - decided.lateness();
                double gains = margin(decided, date) - margin(now, date);
                double effort = moves.stream()
                        .mapToDouble(m -> MoveEffort.hours(now.shop(), m))
                        .sum();
                choices.add(new Choice(
                        moves.toString(),
                        moves,
                        String.join("; ", MoveText.say(now.shop(), moves)),
                        date,
                        wins,
                        gains,
                        effort));
            }
        }
        return choices.stream()
                .filter(c -> c.wins() > NOTHING || c.wins() > -NOTHING && c.gains() >= WORTH_HOURS)
                .filter(distinct())
                .sorted(Comparator.comparingDouble(Choice::worth)
                        .thenComparingDouble(Choice::gains)
                        .reversed()
                        .thenComparing(Choice::id))
                .limit(MOST)
                .toList();
    }

    /** Hours to spare; of a date that cannot be planned, a working week short. */
    private static double margin(Rehearsal week, CommitmentId date) {
        return week.standings().stream()
                .filter(s -> s.date().equals(date))
                .mapToDouble(s -> s.margin().map(Minutes::hours).orElse(-40.0))
                .findFirst()
                .orElse(0);
    }

    private static java.util.function.Predicate<Choice> distinct() {
        java.util.Set<String> seen = new java.util.HashSet<>();
        return c -> seen.add(c.id());
    }
}
