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
    /** Below so many hours to spare a date is in trouble. */
    private static final double TROUBLE_HOURS = 4;

    private static final int MOST = 6;

    private Choices() {}

    /** The most worth first; at most {@value #MOST}. */
    static List<Choice> of(Rehearsal now) {
        List<CommitmentId> worst = now.standings().stream()
                .filter(s -> s.margin().map(Minutes::hours).orElse(-1.0) < TROUBLE_HOURS)
                .sorted(Comparator.comparingDouble(
                        s -> s.margin().map(Minutes::hours).orElse(-1e9)))
                .map(Standing::date)
                .limit(DATES)
                .toList();
        List<Choice> choices = new ArrayList<>();
        double before = now.lateness();
        for (CommitmentId date : worst) {
            for (List<Move> moves : Rescue.candidates(now.shop(), now.plan(), date)) {
                double wins = before - now.deciding(moves).lateness();
                double effort = moves.stream()
                        .mapToDouble(m -> MoveEffort.hours(now.shop(), m))
                        .sum();
                choices.add(new Choice(
                        moves.toString(),
                        moves,
                        String.join("; ", MoveText.say(now.shop(), moves)),
                        date,
                        wins,
                        effort));
            }
        }
        return choices.stream()
                .filter(c -> c.wins() > 0.01)
                .filter(distinct())
                .sorted(Comparator.comparingDouble(Choice::worth).reversed().thenComparing(Choice::id))
                .limit(MOST)
                .toList();
    }

    private static java.util.function.Predicate<Choice> distinct() {
        java.util.Set<String> seen = new java.util.HashSet<>();
        return c -> seen.add(c.id());
    }
}
