package galecrest.core.dyno;

import java.util.List;

/**
 * A line that a channel should stay below, or above.
 *
 * @param floor whether the channel should stay above it
 * @param watch where somebody should look, SI
 * @param perTurn what the line rises by with each turn a second of the engine, SI; 0 for a level one
 */
public record ReviewLimit(Channel channel, boolean floor, double watch, double perTurn) {
    private static final double BAR = 1e5;
    private static final double ZERO_CELSIUS = 273.15;
    /** A bar for each thousand turns a minute. */
    private static final double BAR_PER_1000_RPM = BAR * 60 / 1000;

    /**
     * What is looked at where a car has no limits of its own: common practice, all of it. The oil pressure's floor is 0.7 bar for
     * each 1000 rpm.
     */
    public static final List<ReviewLimit> USUAL = List.of(
            new ReviewLimit(Channel.OIL_PRESSURE, true, 0, 0.7 * BAR_PER_1000_RPM),
            new ReviewLimit(Channel.LAMBDA_SPREAD, false, 0.05, 0),
            new ReviewLimit(Channel.INJECTOR_DUTY, false, 0.85, 0),
            new ReviewLimit(Channel.INTAKE_TEMPERATURE, false, ZERO_CELSIUS + 55, 0),
            new ReviewLimit(Channel.OIL_TEMPERATURE, false, ZERO_CELSIUS + 130, 0),
            new ReviewLimit(Channel.WATER_TEMPERATURE, false, ZERO_CELSIUS + 105, 0),
            new ReviewLimit(Channel.BOOST_OVER, false, 0.15 * BAR, 0));

    /** The line at an engine speed in turns a second. */
    public double at(double speed) {
        return watch + perTurn * speed;
    }

    /** By how much a value is on the wrong side; negative where it is not. */
    double beyond(double value, double speed) {
        return floor ? at(speed) - value : value - at(speed);
    }
}
