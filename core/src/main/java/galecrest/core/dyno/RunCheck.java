package galecrest.core.dyno;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What a run file itself tells of whether it may be believed.
 *
 * @param agrees how far torque times speed is from power along the run, as a share of the power: the median; empty where the
 *     file has only one of them
 * @param mistaken what is mistaken in the columns, in words; empty where nothing is
 * @param slip how the ratio of engine to rollers wanders along the run, as a share of it; empty without rollers
 * @param slips where the tyres slip, in words; empty where they do not
 */
public record RunCheck(OptionalDouble agrees, String mistaken, OptionalDouble slip, String slips) {
    /** Power and torque times speed must agree so well. */
    public static final double AGREE = 0.01;
    /** A ratio that rises by more than this from its beginning is slip: common practice. */
    public static final double SLIP = 0.02;

    private static final double ROUND = 2 * Math.PI;
    private static final double RPM = 60;

    /** What torque times speed is of the power where a unit is another than was said. */
    private enum Unit {
        POWER_IN_HP(0.745699872, "the power looks like hp, not kW"),
        POWER_IN_KW(1 / 0.745699872, "the power looks like kW, not hp"),
        TORQUE_IN_POUND_FEET(1 / 1.3558179483, "the torque looks like lb·ft, not Nm"),
        TORQUE_IN_NEWTON_METRES(1.3558179483, "the torque looks like Nm, not lb·ft");

        private final double ratio;
        private final String said;

        Unit(double ratio, String said) {
            this.ratio = ratio;
            this.said = said;
        }

        double away(double seen) {
            return Math.abs(seen / ratio - 1);
        }
    }

    /** Looks a run through. */
    public static RunCheck of(PowerRun run) {
        OptionalDouble agrees = OptionalDouble.empty();
        String mistaken = "";
        if (run.has(Channel.TORQUE)) {
            double[] off = off(run.of(Channel.POWER), run.of(Channel.TORQUE), run.of(Channel.ENGINE_SPEED));
            agrees = OptionalDouble.of(median(Arrays.stream(off).map(Math::abs).toArray()));
            if (!(agrees.getAsDouble() <= AGREE)) {
                mistaken = mistaken(run, off);
            }
        }
        if (!run.has(Channel.ROLLER_SPEED)) {
            return new RunCheck(agrees, mistaken, OptionalDouble.empty(), "");
        }
        return slip(run, agrees, mistaken);
    }

    /** By what share torque times speed is more than the power, at each sample with load on it. */
    private static double[] off(double[] power, double[] torque, double[] speed) {
        double most = Arrays.stream(power).max().orElse(0);
        return IntStream.range(0, power.length)
                .filter(i -> power[i] > most / 10)
                .mapToDouble(i -> ROUND * speed[i] * torque[i] / power[i] - 1)
                .toArray();
    }

    private static String mistaken(PowerRun run, double[] off) {
        double ratio = median(off) + 1;
        String said = String.format(
                Locale.ROOT,
                "Torque times speed is %.0f %% of the power: a column or its unit is not what it was said to be",
                100 * ratio);
        Unit nearest = Arrays.stream(Unit.values())
                .min(Comparator.comparingDouble(u -> u.away(ratio)))
                .orElseThrow();
        if (nearest.away(ratio) <= AGREE) {
            return said + "; " + nearest.said + ".";
        }
        // Power and torque taken for each other: what is called torque, as kW, over the speed is what is called power,
        // as Nm.
        double[] swapped = off(
                scaled(run.of(Channel.TORQUE), 1000),
                scaled(run.of(Channel.POWER), 1e-3),
                run.of(Channel.ENGINE_SPEED));
        return Math.abs(median(swapped)) <= AGREE ? said + "; power and torque look exchanged." : said + ".";
    }

    private static double[] scaled(double[] values, double factor) {
        return Arrays.stream(values).map(v -> v * factor).toArray();
    }

    private static RunCheck slip(PowerRun run, OptionalDouble agrees, String mistaken) {
        double[] engine = run.of(Channel.ENGINE_SPEED);
        double[] roller = run.of(Channel.ROLLER_SPEED);
        int[] moving = IntStream.range(0, engine.length)
                .filter(i -> roller[i] > 0 && engine[i] > 0)
                .toArray();
        if (moving.length < RunReader.LEAST_SAMPLES) {
            return new RunCheck(agrees, mistaken, OptionalDouble.empty(), "");
        }
        double[] ratio =
                Arrays.stream(moving).mapToDouble(i -> engine[i] / roller[i]).toArray();
        double first = median(Arrays.copyOf(ratio, Math.max(5, ratio.length / 4)));
        double mean = Arrays.stream(ratio).average().orElseThrow();
        double deviation = Math.sqrt(
                Arrays.stream(ratio).map(r -> (r - mean) * (r - mean)).average().orElseThrow());
        // A single sample over it is a trembling of the sensor; five in a row are the tyres.
        int inRow = 0;
        for (int k = 0; k < ratio.length; k++) {
            inRow = ratio[k] > first * (1 + SLIP) ? inRow + 1 : 0;
            if (inRow == 5) {
                double worst = Arrays.stream(ratio).max().orElseThrow() / first - 1;
                return new RunCheck(
                        agrees,
                        mistaken,
                        OptionalDouble.of(deviation / mean),
                        String.format(
                                Locale.ROOT,
                                "The tyres slip from %.0f rpm, by %.1f %%: more pressure, straps or a higher gear.",
                                RPM * engine[moving[k - 4]],
                                100 * worst));
            }
        }
        return new RunCheck(agrees, mistaken, OptionalDouble.of(deviation / mean), "");
    }

    static double median(double[] values) {
        if (values.length == 0) {
            return Double.NaN;
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }
}
