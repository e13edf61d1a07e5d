package galecrest.core.device.standin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * Four scale pads under a car. A pad reads the load of its corner, its own constant error, a slow drift, noise, and for some
 * seconds after the car was touched a swing that dies down. The car is a rigid body on four springs, so that raising a perch
 * moves load as it does on a real one; the model knows nothing of the solver that it is used to try.
 */
public final class PadsModel implements StandIn {
    private static final List<String> PADS = List.of("A", "B", "C", "D");
    private static final double NOISE = 0.07;
    private static final double SWING = 4;
    private static final double SWING_SECONDS = 0.8;
    private static final double SWING_HERTZ = 1.2;
    private static final double DRIFT_AN_HOUR = 0.25;
    private static final double GRAVITY = 9.80665;

    private final Random random;
    private final double[] load;
    private final double[] offset = {0, 0, 2.4, 0};
    private final int[] cornerOf = {0, 1, 2, 3};
    private final Set<Integer> silent = new HashSet<>();
    private double[] rate = {32_000, 32_000, 36_000, 36_000};
    private final double[] x = {0, 0, 2.35, 2.35};
    private final double[] y = {0.71, -0.71, 0.7, -0.7};
    private double touchedAt = -1e9;
    private double zeroedAt;

    /**
     * Pads A to D at left front, right front, left rear and right rear.
     *
     * @param kilograms on each corner
     */
    public PadsModel(double[] kilograms, long seed) {
        load = kilograms.clone();
        random = new Random(seed);
    }

    @Override
    public String kind() {
        return "pads";
    }

    @Override
    public List<String> lines(double seconds) {
        List<String> lines = new ArrayList<>();
        for (int pad = 0; pad < PADS.size(); pad++) {
            if (!silent.contains(pad)) {
                lines.add(String.format(Locale.ROOT, "reading %s %.1f kg", PADS.get(pad), reading(pad, seconds)));
            }
        }
        return lines;
    }

    private double reading(int pad, double seconds) {
        double since = seconds - touchedAt;
        double swing = SWING * Math.exp(-since / SWING_SECONDS) * Math.cos(2 * Math.PI * SWING_HERTZ * since + pad);
        return load[cornerOf[pad]]
                + offset[pad]
                + DRIFT_AN_HOUR * (seconds - zeroedAt) / 3600
                + swing
                + NOISE * random.nextGaussian();
    }

    @Override
    public void zero(double seconds) {
        zeroedAt = seconds;
    }

    @Override
    public Optional<String> simulate(String what, double seconds) {
        String[] words = what.strip().split("\\s+");
        try {
            switch (words[0]) {
                case "load" -> {
                    double[] four = numbers(words, 1);
                    if (Arrays.stream(four).anyMatch(v -> !(v >= 0 && v <= 3_000))) {
                        return Optional.of("four loads in kg, each 0 to 3000");
                    }
                    System.arraycopy(four, 0, load, 0, load.length);
                }
                case "raise" -> raise(numbers(words, 1));
                case "rates" ->
                    rate = Arrays.stream(numbers(words, 1)).map(v -> v * 1000).toArray();
                case "settle" -> {}
                case "silent" -> silent.add(pad(words[1]));
                case "well" -> silent.clear();
                case "stand" -> stand(words);
                default -> {
                    return Optional.of("pads simulate load, raise, rates, settle, silent, well or stand");
                }
            }
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException wrong) {
            return Optional.of("cannot simulate \"" + what + "\"");
        }
        touchedAt = seconds;
        return Optional.empty();
    }

    private static int pad(String name) {
        int pad = PADS.indexOf(name.toUpperCase(Locale.ROOT));
        if (pad < 0) {
            throw new IllegalArgumentException(name);
        }
        return pad;
    }

    /** The pads in the order of the corners that they now stand under. */
    private void stand(String[] words) {
        int[] next = new int[PADS.size()];
        Arrays.fill(next, -1);
        for (int corner = 0; corner < next.length; corner++) {
            next[pad(words[corner + 1])] = corner;
        }
        if (Arrays.stream(next).anyMatch(c -> c < 0)) {
            throw new IllegalArgumentException("each pad once");
        }
        System.arraycopy(next, 0, cornerOf, 0, next.length);
    }

    private static double[] numbers(String[] words, int from) {
        double[] four = new double[PADS.size()];
        for (int i = 0; i < four.length; i++) {
            four[i] = Double.parseDouble(words[from + i]);
            if (!Double.isFinite(four[i])) {
                throw new IllegalArgumentException(words[from + i]);
            }
        }
        return four;
    }

    /**
     * Perches raised by so much at each wheel, in mm. The body takes up a plane a + b·x + c·y by which each spring is
     * shortened less; loads add up to nothing, and turn the car about neither axis. Three equations, by Cramer's rule.
     */
    private void raise(double[] millimetres) {
        double[][] m = new double[3][3];
        double[] right = new double[3];
        for (int i = 0; i < load.length; i++) {
            double[] g = {1, x[i], y[i]};
            for (int r = 0; r < 3; r++) {
                for (int c = 0; c < 3; c++) {
                    m[r][c] += rate[i] * g[r] * g[c];
                }
                right[r] += rate[i] * g[r] * millimetres[i] / 1000;
            }
        }
        double all = determinant(m);
        double[] plane = new double[3];
        for (int c = 0; c < 3; c++) {
            double[][] with = {m[0].clone(), m[1].clone(), m[2].clone()};
            for (int r = 0; r < 3; r++) {
                with[r][c] = right[r];
            }
            plane[c] = determinant(with) / all;
        }
        for (int i = 0; i < load.length; i++) {
            double body = plane[0] + plane[1] * x[i] + plane[2] * y[i];
            load[i] += rate[i] * (millimetres[i] / 1000 - body) / GRAVITY;
        }
    }

    private static double determinant(double[][] m) {
        return m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1])
                - m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0])
                + m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
    }
}
