package galecrest.core.rehearse;

import galecrest.core.rescue.Move;
import galecrest.core.work.CommitmentId;
import java.util.List;

/**
 * Something that could be decided at a turn.
 *
 * @param id the same for the same moves
 * @param said in words
 * @param date which date it is for
 * @param wins hours by which less is late, all dates together, each by how much it matters
 * @param gains shop hours by which its own date has more to spare
 * @param effort hours of effort that it asks
 */
public record Choice(
        String id, List<Move> moves, String said, CommitmentId date, double wins, double gains, double effort) {
    public Choice {
        moves = List.copyOf(moves);
    }

    /** What it is worth: what it wins less what it asks. */
    double worth() {
        return wins - effort;
    }
}
