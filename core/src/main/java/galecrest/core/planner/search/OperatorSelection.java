package galecrest.core.planner.search;

import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * Which kind of move is made next: the oftener one has helped of late, the oftener it is tried, none less often than a
 * least share (probability matching; Goldberg, 1990; as a means of choosing operators, Thierens, 2005).
 */
final class OperatorSelection {
    private final SplittableRandom random;
    private final double least;
    private final double pace;
    private final double[] helped;

    /**
     * Favours among so many kinds.
     *
     * @param least share of each
     * @param pace how much one try counts against all those before
     */
    OperatorSelection(int kinds, double least, double pace, SplittableRandom random) {
        this.random = random;
        this.least = least;
        this.pace = pace;
        this.helped = new double[kinds];
        Arrays.fill(helped, 1);
    }

    int pick() {
        double sum = Arrays.stream(helped).sum();
        double at = random.nextDouble();
        int kind = 0;
        for (; kind < helped.length - 1; kind++) {
            at -= least + (1 - least * helped.length) * (sum > 0 ? helped[kind] / sum : 1.0 / helped.length);
            if (at < 0) {
                break;
            }
        }
        return kind;
    }

    void tried(int kind, boolean better) {
        helped[kind] += pace * ((better ? 1 : 0) - helped[kind]);
    }
}
