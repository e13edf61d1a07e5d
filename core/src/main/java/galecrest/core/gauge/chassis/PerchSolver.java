package galecrest.core.gauge.chassis;

import java.util.Arrays;
import java.util.Optional;

/**
 * Turns of the four spring perches that bring the cross of a car to its target and leave the heights as they are on
 * average: the loads are shifted from one diagonal to the other in the one way that moves the body not at all, then the
 * turns are rounded to quarters so that the cross stays within its tolerance and no wheel's height changes by more than
 * needs be.
 */
public final class PerchSolver {
    private static final double GRAVITY = 9.80665;
    private static final double QUARTER = 0.25;
    /** So many quarters to either side of what would be exact are tried at each corner. */
    private static final int AROUND = 2;

    private static final int TRIED = 2 * AROUND + 1;

    private final CornerWeights now;
    private final SpringPlatform car;
    private final double[] ratio;
    private final double[] pitch;

    /**
     * @param ratio motion ratio of each corner: travel of the spring for each travel of the wheel
     * @param pitch by how much a turn raises each perch, m
     */
    public PerchSolver(CornerWeights now, SpringPlatform car, double[] ratio, double[] pitch) {
        this.now = now;
        this.car = car;
        this.ratio = ratio.clone();
        this.pitch = pitch.clone();
    }

    /**
     * Turns, and what comes of them.
     *
     * @param turns of each perch, a positive one raises the car there
     * @param then what the pads will say
     * @param height by how much the body will be higher at each wheel, m
     */
    public record Solution(double[] turns, CornerWeights then, double[] height) {
        /** The largest change of height at a wheel, m. */
        public double mostHeight() {
            return Arrays.stream(height).map(Math::abs).max().orElse(0);
        }

        /** The change of height on average, m. */
        public double meanHeight() {
            return Arrays.stream(height).average().orElse(0);
        }

        double allTurns() {
            return Arrays.stream(turns).map(Math::abs).sum();
        }
    }

    /**
     * Whole quarter turns to a target; empty where no quarter turns near the exact ones bring the cross within its
     * tolerance.
     */
    public Optional<Solution> quarters(double target, double tolerance) {
        double[] exact = exact(target);
        SpringPlatform.Change[] turn = new SpringPlatform.Change[exact.length];
        for (int i = 0; i < turn.length; i++) {
            double[] raised = new double[turn.length];
            raised[i] = QUARTER * pitch[i] / ratio[i];
            turn[i] = car.raised(raised);
        }
        Solution best = null;
        int[] base = Arrays.stream(exact)
                .mapToInt(t -> (int) Math.round(t / QUARTER) - AROUND)
                .toArray();
        for (int code = 0; code < TRIED * TRIED * TRIED * TRIED; code++) {
            Solution tried = tried(base, code, turn);
            if (Math.abs(tried.then().cross() - target) <= tolerance && (best == null || better(tried, best, target))) {
                best = tried;
            }
        }
        return Optional.ofNullable(best);
    }

    /** By how much so many turns raise each corner, measured at its wheel with the others left alone, m. */
    public double[] raised(double[] turns) {
        double[] raised = new double[turns.length];
        Arrays.setAll(raised, i -> turns[i] * pitch[i] / ratio[i]);
        return raised;
    }

    private Solution tried(int[] base, int code, SpringPlatform.Change[] turn) {
        double[] turns = new double[base.length];
        SpringPlatform.Change all = new SpringPlatform.Change(new double[base.length], new double[base.length]);
        for (int i = 0, left = code; i < base.length; i++, left /= TRIED) {
            int quarters = base[i] + left % TRIED;
            turns[i] = QUARTER * quarters;
            all = all.plus(turn[i], quarters);
        }
        return new Solution(turns, after(all), all.height());
    }

    /** Rather no height changed; where that is alike to a hundredth of a mm, the nearer to the target, then fewer turns. */
    private static boolean better(Solution one, Solution other, double target) {
        double height = one.mostHeight() + Math.abs(one.meanHeight());
        double its = other.mostHeight() + Math.abs(other.meanHeight());
        if (Math.abs(height - its) > 1e-5) {
            return height < its;
        }
        double off = Math.abs(one.then().cross() - target);
        double itsOff = Math.abs(other.then().cross() - target);
        return Math.abs(off - itsOff) > 1e-6 ? off < itsOff : one.allTurns() < other.allTurns();
    }

    /** What the pads say after so many turns of each perch. */
    public Solution after(double[] turns) {
        double[] raised = new double[turns.length];
        Arrays.setAll(raised, i -> turns[i] * pitch[i] / ratio[i]);
        SpringPlatform.Change change = car.raised(raised);
        return new Solution(turns.clone(), after(change), change.height());
    }

    private CornerWeights after(SpringPlatform.Change change) {
        double[] pads = now.pads();
        Arrays.setAll(pads, i -> now.pads()[i] + change.load()[i] / GRAVITY);
        return CornerWeights.of(pads);
    }

    /** The turns, not rounded, that shift the loads and leave the body where it is. */
    public double[] exact(double target) {
        double front = 1 / (car.y()[0] - car.y()[1]);
        double rear = 1 / (car.y()[2] - car.y()[3]);
        double shift = (target - now.cross()) * now.total() * GRAVITY / (front + rear);
        double[] load = {-shift * front, shift * front, shift * rear, -shift * rear};
        double[] wheels = new double[load.length];
        Arrays.setAll(wheels, i -> Double.isInfinite(car.tyre()[i]) ? 0 : -load[i] / car.tyre()[i]);
        double[] turns = new double[load.length];
        for (int i = 0; i < turns.length; i++) {
            int other = i ^ 1;
            double bar = (i < 2 ? car.frontBar() : car.rearBar()) * (wheels[i] - wheels[other]);
            double raised = (load[i] - bar) / car.wheel()[i] - wheels[i];
            turns[i] = raised * ratio[i] / pitch[i];
        }
        return turns;
    }
}
