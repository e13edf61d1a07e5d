package galecrest.core.gauge.chassis;

import galecrest.core.gauge.LinearLibrary;
import java.util.Arrays;
import java.util.stream.Stream;
import org.ojalgo.matrix.MatrixR064;

/**
 * A rigid body on four springs and four tyres with a bar at each axle, in small movements about where it stands: what
 * raising a spring perch, or a mass put aboard, does to the loads on the pads and to the heights. The equilibrium is that
 * of least potential energy (statics of elastic systems; any text on vehicle dynamics has the plane case).
 *
 * <p>Lengths in m, rates at the wheel in N/m, forces in N. A tyre rate may be infinite: the tyre does not yield.
 *
 * @param x of each corner, from the front axle to the rear
 * @param y of each corner, to the left
 * @param wheel rate of each spring at the wheel
 * @param tyre rate of each tyre
 * @param frontBar force at each wheel of the axle for each metre that one wheel is higher than the other; 0 unhooked
 * @param rearBar the same at the rear
 */
public record SpringPlatform(double[] x, double[] y, double[] wheel, double[] tyre, double frontBar, double rearBar) {
    /** Heave, the slopes along and across, and the heights of four wheels. */
    private static final int UNKNOWNS = 7;

    private static final int PLANE = 3;
    private static final int CORNERS = 4;

    static {
        LinearLibrary.quiet();
    }

    /** A car with its axles square to it. */
    public static SpringPlatform of(
            double wheelbase,
            double frontTrack,
            double rearTrack,
            double[] wheel,
            double[] tyre,
            double frontBar,
            double rearBar) {
        double[] x = {0, 0, wheelbase, wheelbase};
        double[] y = {frontTrack / 2, -frontTrack / 2, rearTrack / 2, -rearTrack / 2};
        return new SpringPlatform(x, y, wheel, tyre, frontBar, rearBar);
    }

    /**
     * What comes of a change.
     *
     * @param load more on each pad, N
     * @param height by how much the body is higher at each wheel, m
     */
    public record Change(double[] load, double[] height) {
        Change plus(Change other, double times) {
            double[] loads = load.clone();
            double[] heights = height.clone();
            for (int i = 0; i < CORNERS; i++) {
                loads[i] += times * other.load[i];
                heights[i] += times * other.height[i];
            }
            return new Change(loads, heights);
        }
    }

    /** What raising the perches comes to, each by so much measured at the wheel (perch travel over motion ratio). */
    public Change raised(double[] atWheel) {
        return solved(atWheel, 0, 0, 0);
    }

    /** What so much more mass aboard comes to, in kg at a place; less where it is negative. */
    public Change loaded(double mass, double atX, double atY) {
        return solved(new double[CORNERS], mass * 9.80665, atX, atY);
    }

    /** Whether everything about the car is known: nothing of it is NaN, which no equation can be solved with. */
    public boolean known() {
        return Stream.of(x, y, wheel, tyre).flatMapToDouble(Arrays::stream).noneMatch(Double::isNaN)
                && !Double.isNaN(frontBar + rearBar);
    }

    private Change solved(double[] raised, double force, double atX, double atY) {
        if (!known() || Double.isNaN(force + atX + atY + Arrays.stream(raised).sum())) {
            throw new IllegalArgumentException("Not all of the car is known.");
        }
        double[][] stiffness = new double[UNKNOWNS][UNKNOWNS];
        double[][] loads = new double[UNKNOWNS][1];
        for (int i = 0; i < CORNERS; i++) {
            double[] spring = {-1, -x[i], -y[i], 0, 0, 0, 0};
            spring[PLANE + i] = 1;
            add(stiffness, loads, spring, wheel[i], raised[i]);
            double[] itself = new double[UNKNOWNS];
            itself[PLANE + i] = 1;
            add(stiffness, loads, itself, yields(i) ? tyre[i] : 1, 0);
        }
        double[] front = {0, 0, y[1] - y[0], 1, -1, 0, 0};
        double[] rear = {0, 0, y[3] - y[2], 0, 0, 1, -1};
        add(stiffness, loads, front, frontBar, 0);
        add(stiffness, loads, rear, rearBar, 0);
        loads[0][0] -= force;
        loads[1][0] -= force * atX;
        loads[2][0] -= force * atY;
        for (int i = 0; i < CORNERS; i++) {
            if (!yields(i)) {
                stand(stiffness, loads, PLANE + i);
            }
        }
        MatrixR064 still = MatrixR064.FACTORY.rows(stiffness).solve(MatrixR064.FACTORY.rows(loads));
        double[] at = new double[UNKNOWNS];
        for (int i = 0; i < UNKNOWNS; i++) {
            at[i] = still.doubleValue(i, 0);
        }
        return change(raised, at, front, rear);
    }

    private boolean yields(int corner) {
        return !Double.isInfinite(tyre[corner]);
    }

    /** Adds the energy ½·k·(g·q + offset)² to that which is to be least. */
    private static void add(double[][] stiffness, double[][] loads, double[] g, double k, double offset) {
        for (int i = 0; i < UNKNOWNS; i++) {
            for (int j = 0; j < UNKNOWNS; j++) {
                stiffness[i][j] += k * g[i] * g[j];
            }
            loads[i][0] -= k * g[i] * offset;
        }
    }

    /** The wheel stands where it stands. */
    private static void stand(double[][] stiffness, double[][] loads, int unknown) {
        for (int j = 0; j < UNKNOWNS; j++) {
            stiffness[unknown][j] = 0;
            stiffness[j][unknown] = 0;
        }
        stiffness[unknown][unknown] = 1;
        loads[unknown][0] = 0;
    }

    private Change change(double[] raised, double[] at, double[] front, double[] rear) {
        double[] load = new double[CORNERS];
        double[] height = new double[CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            height[i] = at[0] + at[1] * x[i] + at[2] * y[i];
            double bar = i < 2 ? frontBar * dot(front, at) : rearBar * dot(rear, at);
            load[i] = wheel[i] * (raised[i] + at[PLANE + i] - height[i]) + (i % 2 == 0 ? bar : -bar);
        }
        return new Change(load, height);
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
