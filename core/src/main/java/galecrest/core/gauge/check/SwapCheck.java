package galecrest.core.gauge.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Which pad is off, found by weighing the same car twice with the pads changed round. Each reading is the load of the corner
 * and the error of the pad that stands there: with the loads the same, readings of a corner differ by the errors of its two
 * pads. What all pads have in common cannot be found so, nor where pads were changed only in pairs which of a pair is off.
 *
 * @param error of each pad against the middle of those it was compared with, in the order of {@code names}
 * @param group pads of one group were compared with each other, directly or by others
 */
public record SwapCheck(List<String> names, double[] error, int[] group) {
    /**
     * The errors of pads.
     *
     * @param first which pad stood at each corner, and then {@code second}; the same pads
     * @param read what was read at each corner, and then {@code readThen}
     * @throws IllegalArgumentException where the pads are not the same, or one is named twice
     */
    public static SwapCheck of(List<String> first, double[] read, List<String> second, double[] readThen) {
        int count = first.size();
        if (first.stream().distinct().count() < count
                || !first.stream()
                        .sorted()
                        .toList()
                        .equals(second.stream().sorted().toList())) {
            throw new IllegalArgumentException("The same pads must stand under the car both times, each once.");
        }
        double[] error = new double[count];
        int[] group = new int[count];
        Arrays.fill(group, -1);
        int groups = 0;
        for (int start = 0; start < count; start++) {
            if (group[start] < 0) {
                ring(first, read, second, readThen, start, groups++, error, group);
            }
        }
        return new SwapCheck(List.copyOf(first), error, group);
    }

    /**
     * Follows a pad to the corner it went to, the pad that stood there before to its corner, and so on: they form a ring. The
     * errors come from the steps, what the ring does not close by is shared among them, and they are then taken against the
     * middle of the ring.
     */
    private static void ring(
            List<String> first,
            double[] read,
            List<String> second,
            double[] readThen,
            int start,
            int number,
            double[] error,
            int[] group) {
        List<Integer> ring = new ArrayList<>();
        List<Double> steps = new ArrayList<>();
        int pad = start;
        do {
            group[pad] = number;
            ring.add(pad);
            // Where the pad went: there the pad that had stood before read this, and it reads that.
            int corner = second.indexOf(first.get(pad));
            steps.add(read[corner] - readThen[corner]);
            pad = corner;
        } while (pad != start);
        double gap = steps.stream().mapToDouble(s -> s).sum() / steps.size();
        double at = 0;
        for (int i = 0; i < ring.size(); i++) {
            error[ring.get(i)] = at;
            at += steps.get(i) - gap;
        }
        double middle = median(ring.stream().mapToDouble(p -> error[p]).toArray());
        ring.forEach(p -> error[p] -= middle);
    }

    private static double median(double[] values) {
        Arrays.sort(values);
        int half = values.length / 2;
        return values.length % 2 == 1 ? values[half] : (values[half - 1] + values[half]) / 2;
    }

    /** How many pads were compared with that one, itself included. */
    public int compared(int pad) {
        return (int) Arrays.stream(group).filter(g -> g == group[pad]).count();
    }

    /** The pad that is off by more than so much while the others of its group agree; empty where there is none. */
    public Optional<Integer> culprit(double most) {
        int worst = 0;
        for (int i = 1; i < error.length; i++) {
            if (Math.abs(error[i]) > Math.abs(error[worst])) {
                worst = i;
            }
        }
        return compared(worst) > 2 && Math.abs(error[worst]) > most ? Optional.of(worst) : Optional.empty();
    }
}
