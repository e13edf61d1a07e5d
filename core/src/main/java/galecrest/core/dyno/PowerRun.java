package galecrest.core.dyno;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * A run on a rolling road, sample by sample in SI; of power and torque one may be missing and is reckoned from the other.
 *
 * @param channels each as long as the others; engine speed in turns a second
 */
public record PowerRun(Map<Channel, double[]> channels) {
    static final PowerRun NONE = new PowerRun(Map.of());
    private static final double ROUND = 2 * Math.PI;

    public PowerRun {
        Map<Channel, double[]> all = new EnumMap<>(Channel.class);
        all.putAll(channels);
        double[] speed = all.get(Channel.ENGINE_SPEED);
        double[] torque = all.get(Channel.TORQUE);
        double[] left = all.get(Channel.LAMBDA_LEFT);
        double[] right = all.get(Channel.LAMBDA_RIGHT);
        double[] boost = all.get(Channel.BOOST);
        double[] target = all.get(Channel.BOOST_TARGET);
        if (speed != null && torque != null) {
            all.computeIfAbsent(Channel.POWER, c -> each(speed.length, i -> ROUND * speed[i] * torque[i]));
        }
        if (left != null && right != null) {
            all.put(Channel.LAMBDA_SPREAD, each(left.length, i -> Math.abs(left[i] - right[i])));
        }
        if (boost != null && target != null) {
            all.put(Channel.BOOST_OVER, each(boost.length, i -> boost[i] - target[i]));
        }
        channels = Map.copyOf(all);
    }

    private static double[] each(int size, java.util.function.IntToDoubleFunction value) {
        double[] all = new double[size];
        Arrays.setAll(all, value);
        return all;
    }

    public int size() {
        return channels.isEmpty() ? 0 : of(Channel.ENGINE_SPEED).length;
    }

    public boolean has(Channel channel) {
        return channels.containsKey(channel);
    }

    /** The samples of a channel that the run has. */
    public double[] of(Channel channel) {
        return Optional.ofNullable(channels.get(channel))
                .orElseThrow(() -> new IllegalArgumentException("The run has no " + channel.label() + "."));
    }

    /** The highest power of the run and the engine speed at which it was made: W, turns a second. */
    public Peak peak() {
        double[] power = of(Channel.POWER);
        int best = 0;
        for (int i = 1; i < power.length; i++) {
            best = power[i] > power[best] ? i : best;
        }
        return new Peak(power[best], of(Channel.ENGINE_SPEED)[best]);
    }

    public record Peak(double power, double speed) {}

    /**
     * The mean power from one engine speed to another, W: the area under power over speed along the way that the engine took,
     * so that a trembling speed counts for nothing. NaN where the run does not go through all of it.
     */
    public double mean(double from, double to) {
        double[] speed = of(Channel.ENGINE_SPEED);
        double[] power = of(Channel.POWER);
        double area = 0;
        double way = 0;
        int last = top(speed);
        for (int i = 1; i <= last; i++) {
            double a = speed[i - 1];
            double b = speed[i];
            double enter = Math.max(from, Math.min(to, a));
            double leave = Math.max(from, Math.min(to, b));
            if (enter != leave) {
                double atEnter = power[i - 1] + (power[i] - power[i - 1]) * (enter - a) / (b - a);
                double atLeave = power[i - 1] + (power[i] - power[i - 1]) * (leave - a) / (b - a);
                area += (atEnter + atLeave) / 2 * (leave - enter);
                way += leave - enter;
            }
        }
        // It begins below the range and ends above it.
        return Math.abs(way - (to - from)) <= 1e-9 * (to - from) ? area / way : Double.NaN;
    }

    /** Where the speed is highest; after that the run is over and the rollers run out. */
    private static int top(double[] speed) {
        int top = 0;
        for (int i = 1; i < speed.length; i++) {
            top = speed[i] > speed[top] ? i : top;
        }
        return top;
    }

    /** The mean power in each of the bins between the edges; NaN in those that the run does not go through. */
    public double[] bins(double[] edges) {
        double[] bins = new double[edges.length - 1];
        Arrays.setAll(bins, i -> mean(edges[i], edges[i + 1]));
        return bins;
    }

    /** The lowest engine speed before the highest, and the highest, turns a second. */
    public double[] reach() {
        double[] speed = of(Channel.ENGINE_SPEED);
        int top = top(speed);
        return new double[] {Arrays.stream(speed, 0, top + 1).min().orElseThrow(), speed[top]};
    }
}
