package galecrest.core.gauge.chassis;

import galecrest.core.gauge.LinearLibrary;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * Where ballast goes: as much as the class asks for, the car standing as near as can be to its targets, and of all ways to
 * do that the one that lies lowest. Three linear programmes, each holding what the one before reached.
 *
 * @param mass what the car weighs without ballast as it is weighed after the race, kg
 * @param front its share of the front axle
 * @param left its share of the left side
 * @param wheelbase m
 * @param track m
 */
public record Ballast(double mass, double front, double left, double wheelbase, double track) {
    private static final double SLACK = 1e-7;
    /** The lowest way may be further from the targets by that: a gram on the wrong side. */
    private static final double GRAM = 1e-3;

    static {
        LinearLibrary.quiet();
    }

    /**
     * Where ballast may be bolted.
     *
     * @param limit the most that may go there, kg
     * @param x from the front axle to the rear, m
     * @param y to the left, m
     * @param z above the ground, m
     */
    public record Spot(String name, double limit, double x, double y, double z) {}

    /**
     * The answer.
     *
     * @param masses at each spot, kg
     * @param off how far from its targets the car stands, as the mass that is on the wrong axle and side, kg
     */
    public record Placed(double[] masses, double total, double front, double left, double off) {}

    /** How much is missing to the least mass, kg. */
    public double missing(double least) {
        return Math.max(0, least - mass);
    }

    /**
     * The masses; empty where the spots do not take what is missing.
     *
     * @param least the least mass of the class, kg
     * @param targetFront wanted share of the front axle; NaN for any
     * @param targetLeft wanted share of the left side; NaN for any
     */
    public Optional<Placed> place(List<Spot> spots, double least, double targetFront, double targetLeft) {
        double missing = missing(least);
        if (spots.stream().mapToDouble(Spot::limit).sum() < missing - SLACK) {
            return Optional.empty();
        }
        double off = solve(spots, missing, targetFront, targetLeft, Double.NaN).off();
        return Optional.of(solve(spots, missing, targetFront, targetLeft, off));
    }

    /** Least deviation; or where that is given, the lowest way to have it. */
    private Placed solve(List<Spot> spots, double missing, double targetFront, double targetLeft, double most) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        boolean lowest = !Double.isNaN(most);
        Variable[] at = new Variable[spots.size()];
        for (int i = 0; i < at.length; i++) {
            at[i] = model.newVariable("at " + i).lower(0).upper(spots.get(i).limit());
            if (lowest) {
                at[i].weight(spots.get(i).z());
            }
        }
        Expression sum = model.newExpression("sum").level(missing);
        Arrays.stream(at).forEach(v -> sum.set(v, 1));
        Expression off = model.newExpression("off");
        double total = mass + missing;
        if (!Double.isNaN(targetFront)) {
            Expression front = model.newExpression("front");
            for (int i = 0; i < at.length; i++) {
                front.set(at[i], 1 - spots.get(i).x() / wheelbase);
            }
            deviation(model, front, off, targetFront * total - this.front * mass, lowest);
        }
        if (!Double.isNaN(targetLeft)) {
            Expression side = model.newExpression("left");
            for (int i = 0; i < at.length; i++) {
                side.set(at[i], 0.5 + spots.get(i).y() / track);
            }
            deviation(model, side, off, targetLeft * total - left * mass, lowest);
        }
        if (lowest) {
            off.upper(most + GRAM);
        }
        Optimisation.Result result = model.minimise();
        if (!result.getState().isFeasible()) {
            throw new IllegalStateException("The linear programme of ballast has no answer: " + result.getState());
        }
        double[] masses = new double[at.length];
        Arrays.setAll(masses, i -> Math.max(0, result.doubleValue(i)));
        return placed(spots, masses, targetFront, targetLeft);
    }

    /** How far a sum is from its target, to either side. */
    private static void deviation(
            ExpressionsBasedModel model, Expression sum, Expression off, double target, boolean free) {
        Variable over = model.newVariable("over " + target).lower(0);
        Variable under = model.newVariable("under " + target).lower(0);
        if (!free) {
            over.weight(1);
            under.weight(1);
        }
        sum.set(over, -1).set(under, 1).level(target);
        off.set(over, 1).set(under, 1);
    }

    /** How the car stands with such masses. */
    public Placed placed(List<Spot> spots, double[] masses, double targetFront, double targetLeft) {
        double total = mass;
        double onFront = front * mass;
        double onLeft = left * mass;
        for (int i = 0; i < masses.length; i++) {
            total += masses[i];
            onFront += masses[i] * (1 - spots.get(i).x() / wheelbase);
            onLeft += masses[i] * (0.5 + spots.get(i).y() / track);
        }
        double off = (Double.isNaN(targetFront) ? 0 : Math.abs(onFront - targetFront * total))
                + (Double.isNaN(targetLeft) ? 0 : Math.abs(onLeft - targetLeft * total));
        return new Placed(masses, total, onFront / total, onLeft / total, off);
    }
}
