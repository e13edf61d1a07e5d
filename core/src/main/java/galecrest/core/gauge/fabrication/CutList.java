package galecrest.core.gauge.fabrication;

import galecrest.core.gauge.LinearLibrary;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * Which pieces are cut from which bar, so that as few bars as can be are begun (the cutting-stock problem; Gilmore and Gomory,
 * 1961). Every way to fill a bar that takes no further piece is a pattern; how often each is cut is an integer programme.
 *
 * @param bars the pieces of each bar, as indices of the lengths, the longest first
 * @param proven whether no way with fewer bars exists
 */
public record CutList(List<int[]> bars, boolean proven) {
    /** More ways to fill a bar than that are not all looked at: the longest-first rule decides, and says so. */
    private static final int MOST_PATTERNS = 4_000;

    /** So many are tried on the way, full ones or not: many short pieces leave more ways open than anybody waits for. */
    private static final int MOST_TRIED = 200_000;

    private static final long PATIENCE_MILLIS = 4_000;
    private static final double EXACT = 1e-9;

    static {
        LinearLibrary.quiet();
    }

    /**
     * The bars.
     *
     * @param lengths of the kinds of pieces, m, none longer than the stock
     * @param counts how many of each
     * @param stock length of a bar, m
     * @param kerf what a cut takes, m; a bar's last piece may end with the bar
     */
    public static CutList of(double[] lengths, int[] counts, double stock, double kerf) {
        // With a kerf behind each piece, a bar is longer by one kerf.
        double[] each = Arrays.stream(lengths).map(l -> l + kerf).toArray();
        double room = stock + kerf + EXACT;
        List<int[]> simple = longestFirst(each, counts, room);
        double needed = 0;
        for (int i = 0; i < each.length; i++) {
            needed += each[i] * counts[i];
        }
        int least = (int) Math.ceil((needed - EXACT * counts.length) / room);
        if (simple.size() <= least) {
            return new CutList(simple, true);
        }
        List<int[]> patterns = new ArrayList<>();
        return patterns(each, counts, room, 0, new int[each.length], order(each), patterns, new int[1])
                ? best(each.length, counts, patterns, simple)
                : new CutList(simple, false);
    }

    /** Kinds by length, the longest first. */
    private static int[] order(double[] each) {
        Integer[] order = new Integer[each.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> -each[i]));
        return Arrays.stream(order).mapToInt(Integer::intValue).toArray();
    }

    /** First fit, the longest first. */
    private static List<int[]> longestFirst(double[] each, int[] counts, double room) {
        List<List<Integer>> bars = new ArrayList<>();
        List<Double> left = new ArrayList<>();
        for (int kind : order(each)) {
            for (int n = 0; n < counts[kind]; n++) {
                int bar = 0;
                while (bar < left.size() && left.get(bar) < each[kind]) {
                    bar++;
                }
                if (bar == left.size()) {
                    bars.add(new ArrayList<>());
                    left.add(room);
                }
                bars.get(bar).add(kind);
                left.set(bar, left.get(bar) - each[kind]);
            }
        }
        return bars.stream()
                .map(b -> b.stream().mapToInt(Integer::intValue).toArray())
                .toList();
    }

    /** All full patterns; false where there are too many. */
    private static boolean patterns(
            double[] each,
            int[] counts,
            double left,
            int at,
            int[] taken,
            int[] order,
            List<int[]> patterns,
            int[] tried) {
        if (++tried[0] > MOST_TRIED) {
            return false;
        }
        if (at == order.length) {
            for (int kind : order) {
                if (taken[kind] < counts[kind] && each[kind] <= left) {
                    return true;
                }
            }
            patterns.add(taken.clone());
            return patterns.size() <= MOST_PATTERNS;
        }
        int kind = order[at];
        int most = (int) Math.min(counts[kind], Math.floor(left / each[kind]));
        for (int n = most; n >= 0; n--) {
            taken[kind] = n;
            if (!patterns(each, counts, left - n * each[kind], at + 1, taken, order, patterns, tried)) {
                return false;
            }
        }
        taken[kind] = 0;
        return true;
    }

    private static CutList best(int kinds, int[] counts, List<int[]> patterns, List<int[]> simple) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        model.options.time_abort = PATIENCE_MILLIS;
        Variable[] cut = new Variable[patterns.size()];
        Expression[] enough = new Expression[kinds];
        for (int kind = 0; kind < kinds; kind++) {
            enough[kind] = model.newExpression("kind " + kind).lower(counts[kind]);
        }
        for (int i = 0; i < cut.length; i++) {
            cut[i] = model.newVariable("pattern " + i)
                    .lower(0)
                    .upper(simple.size())
                    .integer(true)
                    .weight(1);
            for (int kind = 0; kind < kinds; kind++) {
                if (patterns.get(i)[kind] > 0) {
                    enough[kind].set(cut[i], patterns.get(i)[kind]);
                }
            }
        }
        Optimisation.Result result = model.minimise();
        boolean proven = result.getState().isOptimal();
        List<int[]> bars = new ArrayList<>();
        int[] open = counts.clone();
        for (int i = 0; result.getState().isFeasible() && i < cut.length; i++) {
            for (long n = Math.round(result.doubleValue(i)); n > 0; n--) {
                int[] bar = taken(patterns.get(i), open);
                if (bar.length > 0) {
                    bars.add(bar);
                }
            }
        }
        boolean all = Arrays.stream(open).allMatch(o -> o == 0);
        // What the library calls solved is used only where it cuts all the pieces.
        return all && bars.size() <= simple.size() ? new CutList(bars, proven) : new CutList(simple, false);
    }

    /** The pieces of a pattern that are still wanted. */
    private static int[] taken(int[] pattern, int[] open) {
        List<Integer> bar = new ArrayList<>();
        for (int kind = 0; kind < pattern.length; kind++) {
            for (int n = 0; n < pattern[kind] && open[kind] > 0; n++) {
                bar.add(kind);
                open[kind]--;
            }
        }
        return bar.stream().mapToInt(Integer::intValue).toArray();
    }
}
