package galecrest.core.dyno;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Looks through the channels of a run for what went over its limit: when first, how far, for how long. */
public final class DataReview {
    private DataReview() {}

    /**
     * A channel against its limit.
     *
     * @param worst the value that comes nearest to the limit or goes furthest beyond it, SI
     * @param worstAt engine speed there, turns a second
     * @param line the limit at that speed
     * @param crossedAt engine speed at which it was first crossed, turns a second; empty where it was not
     * @param seconds for how long in all it was beyond; 0 where the file has no time
     */
    public record Line(
            ReviewLimit limit, double worst, double worstAt, double line, OptionalDouble crossedAt, double seconds) {
        public boolean crossed() {
            return crossedAt.isPresent();
        }
    }

    /** Each limit whose channel the run has, in the order of the limits. */
    public static List<Line> of(PowerRun run, List<ReviewLimit> limits) {
        List<Line> lines = new ArrayList<>();
        for (ReviewLimit limit : limits) {
            if (run.has(limit.channel())) {
                line(run, limit).ifPresent(lines::add);
            }
        }
        return lines;
    }

    private static Optional<Line> line(PowerRun run, ReviewLimit limit) {
        double[] value = run.of(limit.channel());
        double[] speed = run.of(Channel.ENGINE_SPEED);
        int worst = -1;
        int first = -1;
        double seconds = 0;
        for (int i = 0; i < value.length; i++) {
            if (!Double.isFinite(value[i])) {
                continue;
            }
            double beyond = limit.beyond(value[i], speed[i]);
            if (worst < 0 || beyond > limit.beyond(value[worst], speed[worst])) {
                worst = i;
            }
            if (beyond > 0) {
                first = first < 0 ? i : first;
                seconds += sampleLasts(run, i);
            }
        }
        return worst < 0
                ? Optional.empty()
                : Optional.of(new Line(
                        limit,
                        value[worst],
                        speed[worst],
                        limit.at(speed[worst]),
                        first < 0 ? OptionalDouble.empty() : OptionalDouble.of(speed[first]),
                        seconds));
    }

    /** Until the next sample; the last one lasts as long as the one before it. */
    private static double sampleLasts(PowerRun run, int at) {
        if (!run.has(Channel.TIME)) {
            return 0;
        }
        double[] time = run.of(Channel.TIME);
        int from = Math.min(at, time.length - 2);
        return from < 0 ? 0 : time[from + 1] - time[from];
    }
}
