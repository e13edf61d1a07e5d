package galecrest.core.dyno;

import java.util.Arrays;
import java.util.TreeSet;

/**
 * A series with fewer points that draws the same picture: of each column of the picture the first, the last, the least and the
 * greatest are kept (M4; Jugel, Jerzak, Hackenbroich, Markl: A Visualization-Oriented Time Series Data Aggregation, 2014).
 *
 * @param x of the points that are kept, in their order
 * @param y beside each
 */
public record Thinned(double[] x, double[] y) {
    /**
     * The points that a picture so many columns wide needs; at most four a column, and all of them where there are no more.
     *
     * @param x in order, never falling
     */
    public static Thinned of(double[] x, double[] y, int columns) {
        int size = x.length;
        if (size <= 4 * columns) {
            return new Thinned(x.clone(), y.clone());
        }
        double from = x[0];
        double width = (x[size - 1] - from) / columns;
        TreeSet<Integer> kept = new TreeSet<>();
        int begin = 0;
        while (begin < size) {
            int column = column(x[begin], from, width, columns);
            int end = begin;
            int least = begin;
            int most = begin;
            while (end < size && column(x[end], from, width, columns) == column) {
                // What is no number is drawn as a gap and is never the least or the greatest.
                least = y[end] < y[least] || Double.isNaN(y[least]) ? end : least;
                most = y[end] > y[most] || Double.isNaN(y[most]) ? end : most;
                end++;
            }
            kept.addAll(Arrays.asList(begin, least, most, end - 1));
            begin = end;
        }
        int[] at = kept.stream().mapToInt(Integer::intValue).toArray();
        return new Thinned(
                Arrays.stream(at).mapToDouble(i -> x[i]).toArray(),
                Arrays.stream(at).mapToDouble(i -> y[i]).toArray());
    }

    private static int column(double x, double from, double width, int columns) {
        return width > 0 ? (int) Math.min(columns - 1, Math.floor((x - from) / width)) : 0;
    }
}
