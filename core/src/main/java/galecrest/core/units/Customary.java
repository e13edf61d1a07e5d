package galecrest.core.units;

import static tech.units.indriya.unit.Units.CUBIC_METRE;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.KILOGRAM;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.METRE_PER_SQUARE_SECOND;
import static tech.units.indriya.unit.Units.NEWTON;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.WATT;

import javax.measure.Unit;
import javax.measure.quantity.Force;
import javax.measure.quantity.Length;
import javax.measure.quantity.Mass;
import javax.measure.quantity.Power;
import javax.measure.quantity.Pressure;
import javax.measure.quantity.Temperature;
import javax.measure.quantity.Volume;

/** Units beside SI, by their definitions: NIST Special Publication 811 (2008), appendix B. */
final class Customary {
    /** International inch, 25.4 mm exactly. */
    static final Unit<Length> INCH = METRE.multiply(0.0254);

    static final Unit<Length> FOOT = INCH.multiply(12);
    static final Unit<Length> MILE = FOOT.multiply(5280);
    /** Avoirdupois pound, exactly. */
    static final Unit<Mass> POUND = KILOGRAM.multiply(0.45359237);

    static final Unit<Mass> OUNCE = POUND.divide(16);
    /** Standard gravity of 9.80665 m/s², exactly. */
    static final double GRAVITY = 9.80665;

    static final Unit<Force> KILOPOND = NEWTON.multiply(GRAVITY);
    static final Unit<Force> POUND_FORCE =
            POUND.multiply(METRE_PER_SQUARE_SECOND).asType(Force.class).multiply(GRAVITY);
    static final Unit<Pressure> PSI = PASCAL.multiply(0.45359237 * GRAVITY / (0.0254 * 0.0254));
    static final Unit<Volume> CUBIC_INCH = CUBIC_METRE.multiply(0.0254 * 0.0254 * 0.0254);
    /** 231 cubic inches, exactly. */
    static final Unit<Volume> US_GALLON = CUBIC_INCH.multiply(231);

    static final Unit<Temperature> FAHRENHEIT = KELVIN.multiply(5).divide(9).shift(459.67);
    /** 550 foot pounds-force a second. */
    static final Unit<Power> HORSEPOWER = WATT.multiply(550 * 0.3048 * 0.45359237 * GRAVITY);
    /** 75 kilogram-force metres a second. */
    static final Unit<Power> METRIC_HORSEPOWER = WATT.multiply(75 * GRAVITY);

    private Customary() {}
}
