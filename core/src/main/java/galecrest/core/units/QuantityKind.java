package galecrest.core.units;

import static galecrest.core.units.Customary.CUBIC_INCH;
import static galecrest.core.units.Customary.FAHRENHEIT;
import static galecrest.core.units.Customary.FOOT;
import static galecrest.core.units.Customary.HORSEPOWER;
import static galecrest.core.units.Customary.INCH;
import static galecrest.core.units.Customary.KILOPOND;
import static galecrest.core.units.Customary.METRIC_HORSEPOWER;
import static galecrest.core.units.Customary.MILE;
import static galecrest.core.units.Customary.OUNCE;
import static galecrest.core.units.Customary.POUND;
import static galecrest.core.units.Customary.POUND_FORCE;
import static galecrest.core.units.Customary.PSI;
import static galecrest.core.units.Customary.US_GALLON;
import static tech.units.indriya.AbstractUnit.ONE;
import static tech.units.indriya.unit.Units.AMPERE;
import static tech.units.indriya.unit.Units.CELSIUS;
import static tech.units.indriya.unit.Units.CUBIC_METRE;
import static tech.units.indriya.unit.Units.HOUR;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.KILOGRAM;
import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.METRE_PER_SECOND;
import static tech.units.indriya.unit.Units.MINUTE;
import static tech.units.indriya.unit.Units.NEWTON;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.PERCENT;
import static tech.units.indriya.unit.Units.RADIAN;
import static tech.units.indriya.unit.Units.SECOND;
import static tech.units.indriya.unit.Units.VOLT;
import static tech.units.indriya.unit.Units.WATT;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.measure.Unit;

/**
 * The kinds of quantities that are measured at a car: the unit each is kept in (SI), and the units that people write it in.
 * The first unit of each is the metric one that is shown, the first of the customary ones the other.
 */
public enum QuantityKind {
    LENGTH(
            METRE,
            "0.25 mm, 10 thou or 1 3/4 in",
            of("mm", METRE.divide(1000), 2),
            of("cm", METRE.divide(100), 2),
            of("m", METRE, 3),
            customary("in", INCH, 3, "inch", "inches", "\""),
            customary("thou", INCH.divide(1000), 1, "mil"),
            customary("ft", FOOT, 3, "feet", "foot")),
    ANGLE(
            RADIAN,
            "1.5° or 0° 12'",
            of("°", RADIAN.multiply(Math.PI / 180), 2, "deg", "degree", "degrees"),
            of("'", RADIAN.multiply(Math.PI / 10_800), 1, "min", "arcmin"),
            of("rad", RADIAN, 4)),
    TURNS(ONE, "2.5 turns or a quarter turn", of("turns", ONE, 2, "turn", "rev", "revs")),
    MASS(
            KILOGRAM,
            "251.5 kg or 554 lb",
            of("kg", KILOGRAM, 1),
            of("g", KILOGRAM.divide(1000), 0),
            customary("lb", POUND, 1, "lbs", "pound", "pounds"),
            customary("oz", OUNCE, 1)),
    FORCE(
            NEWTON,
            "800 N or 180 lbf",
            of("N", NEWTON, 0),
            of("kN", NEWTON.multiply(1000), 2),
            of("kgf", KILOPOND, 1, "kp"),
            customary("lbf", POUND_FORCE, 0)),
    PRESSURE(
            PASCAL,
            "1.9 bar or 28 psi",
            of("bar", PASCAL.multiply(100_000), 2),
            of("kPa", PASCAL.multiply(1000), 0),
            of("hPa", PASCAL.multiply(100), 1, "mbar"),
            of("Pa", PASCAL, 0),
            customary("psi", PSI, 1)),
    STIFFNESS(
            NEWTON.divide(METRE),
            "40 N/mm or 230 lb/in",
            of("N/mm", NEWTON.divide(METRE).multiply(1000), 1),
            of("N/m", NEWTON.divide(METRE), 0),
            of("kgf/mm", KILOPOND.divide(METRE).multiply(1000), 2, "kg/mm"),
            customary("lb/in", POUND_FORCE.divide(INCH), 0, "lbf/in", "lbs/in")),
    TORQUE(
            NEWTON.multiply(METRE),
            "90 Nm or 66 lb·ft",
            of("Nm", NEWTON.multiply(METRE), 1, "N·m"),
            of("kgf·m", KILOPOND.multiply(METRE), 2, "kgfm", "mkg"),
            customary("lb·ft", POUND_FORCE.multiply(FOOT), 1, "lb-ft", "lbft", "ft·lb", "ft-lb", "ftlb"),
            customary("lb·in", POUND_FORCE.multiply(INCH), 0, "lb-in", "in-lb")),
    VOLUME(
            CUBIC_METRE,
            "30 L or 8 gal",
            of("L", LITRE, 1, "litre", "litres", "liter", "liters"),
            of("cm³", CUBIC_METRE.divide(1_000_000), 1, "cc", "ml", "cm3"),
            customary("gal", US_GALLON, 2),
            customary("in³", CUBIC_INCH, 1, "in3", "cu in")),
    DENSITY(
            KILOGRAM.divide(CUBIC_METRE),
            "0.75 kg/L or 6.2 lb/gal",
            of("kg/L", KILOGRAM.divide(LITRE), 3, "g/cm³"),
            of("kg/m³", KILOGRAM.divide(CUBIC_METRE), 0, "kg/m3"),
            customary("lb/gal", POUND.divide(US_GALLON), 2)),
    TEMPERATURE(
            KELVIN,
            "85 °C or 185 °F",
            of("°C", CELSIUS, 0, "C", "degC"),
            of("K", KELVIN, 0),
            customary("°F", FAHRENHEIT, 0, "F", "degF")),
    SPEED(
            METRE_PER_SECOND,
            "130 km/h or 81 mph",
            of("km/h", METRE.multiply(1000).divide(HOUR), 1, "kmh", "kph"),
            of("m/s", METRE_PER_SECOND, 2),
            customary("mph", MILE.divide(HOUR), 1)),
    ROTATION(
            ONE.divide(SECOND),
            "6500 rpm",
            of("rpm", ONE.divide(MINUTE), 0, "1/min", "r/min", "/min"),
            of("Hz", ONE.divide(SECOND), 1, "1/s")),
    POWER(
            WATT,
            "110 kW or 148 hp",
            of("kW", WATT.multiply(1000), 1),
            of("W", WATT, 0),
            of("PS", METRIC_HORSEPOWER, 1),
            customary("hp", HORSEPOWER, 1, "bhp")),
    DISTANCE(
            METRE,
            "420 km or 260 mi",
            of("km", METRE.multiply(1000), 0),
            of("m", METRE, 0),
            customary("mi", MILE, 0, "mile", "miles")),
    DURATION(
            SECOND,
            "10 min or 1.5 h",
            of("min", MINUTE, 1, "minute", "minutes"),
            of("s", SECOND, 0, "sec", "seconds"),
            of("h", HOUR, 1, "hour", "hours", "hr")),
    VOLTAGE(VOLT, "14.1 V", of("V", VOLT, 2)),
    CURRENT(AMPERE, "12 A", of("A", AMPERE, 1), of("mA", AMPERE.divide(1000), 0)),
    AREA(
            METRE.multiply(METRE),
            "0.35 m² or 540 in²",
            of("cm²", METRE.multiply(METRE).divide(10_000), 1, "cm2"),
            of("mm²", METRE.multiply(METRE).divide(1_000_000), 2, "mm2"),
            of("m²", METRE.multiply(METRE), 3, "m2"),
            customary("in²", INCH.multiply(INCH), 2, "in2", "sq in"),
            customary("ft²", FOOT.multiply(FOOT), 2, "ft2", "sq ft")),
    FLOW(
            KILOGRAM.divide(SECOND),
            "8.2 g/s or 65 lb/h",
            of("g/s", KILOGRAM.divide(1000).divide(SECOND), 2),
            of("kg/h", KILOGRAM.divide(HOUR), 2),
            of("g/min", KILOGRAM.divide(1000).divide(MINUTE), 0),
            customary("lb/h", POUND.divide(HOUR), 1, "lb/hr", "lbs/h", "lbs/hr")),
    CONSUMPTION(
            KILOGRAM.divide(WATT.multiply(SECOND)),
            "335 g/kWh or 0.55 lb/hp·h",
            of("g/kWh", KILOGRAM.divide(1000).divide(WATT.multiply(1000).multiply(HOUR)), 0, "g/kW·h"),
            customary(
                    "lb/hp·h",
                    POUND.divide(HORSEPOWER.multiply(HOUR)),
                    3,
                    "lb/hph",
                    "lb/hp-h",
                    "lb/hp-hr",
                    "lb/hp·hr")),
    SHARE(ONE, "50.2 %", of("%", PERCENT, 1, "percent", "per cent")),
    NUMBER(ONE, "0.85", of("", ONE, 3));

    private final Unit<?> kept;
    private final String example;
    private final List<Written> units;

    QuantityKind(Unit<?> kept, String example, Written... units) {
        this.kept = kept;
        this.example = example;
        this.units = List.of(units);
    }

    /** A unit as it is written. */
    record Written(String label, Unit<?> unit, int decimals, UnitSystem system, List<String> also) {
        boolean is(String text) {
            return label.equals(text) || also.contains(text);
        }

        boolean isButForCase(String text) {
            return label.equalsIgnoreCase(text) || also.stream().anyMatch(text::equalsIgnoreCase);
        }
    }

    private static Written of(String label, Unit<?> unit, int decimals, String... also) {
        return new Written(label, unit, decimals, UnitSystem.METRIC, List.of(also));
    }

    private static Written customary(String label, Unit<?> unit, int decimals, String... also) {
        return new Written(label, unit, decimals, UnitSystem.CUSTOMARY, List.of(also));
    }

    /** The SI unit in which such quantities are kept and reckoned. */
    public Unit<?> kept() {
        return kept;
    }

    /** How it may be written. */
    public String example() {
        return example;
    }

    /** The word for it in a sentence. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether that is one of its units, as it is written. */
    public boolean isUnit(String text) {
        return units.stream().anyMatch(u -> u.is(text));
    }

    /** The unit that is shown; the metric one where the kind has no customary one. */
    Written shown(UnitSystem system) {
        return units.stream().filter(u -> u.system() == system).findFirst().orElse(units.get(0));
    }

    /** The unit that a text names; as it is written, or where that names none, in other letters of another case. */
    Optional<Written> named(String text) {
        return units.stream().filter(u -> u.is(text)).findFirst().or(() -> units.stream()
                .filter(u -> u.isButForCase(text))
                .findFirst());
    }
}
