package galecrest.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Quantities as people write them; the factors are those of NIST Special Publication 811 (2008), appendix B.8. */
class QuantityTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LENGTH | 1 in | 0.0254",
                "AREA | 1 in² | 6.4516e-4",
                "AREA | 1 ft² | 0.09290304",
                "FLOW | 1 lb/h | 1.259979e-4",
                "CONSUMPTION | 1 lb/hp·h | 1.689659e-7",
                "CURRENT | 1 mA | 0.001",
                "LENGTH | 1 ft | 0.3048",
                "LENGTH | 1 thou | 2.54e-5",
                "MASS | 1 lb | 0.45359237",
                "MASS | 1 oz | 0.02834952",
                "FORCE | 1 lbf | 4.448222",
                "FORCE | 1 kgf | 9.80665",
                "PRESSURE | 1 psi | 6894.757",
                "PRESSURE | 1 bar | 1e5",
                "STIFFNESS | 1 lb/in | 175.1268",
                "TORQUE | 1 lb·ft | 1.355818",
                "TORQUE | 1 lb·in | 0.1129848",
                "VOLUME | 1 gal | 0.003785412",
                "VOLUME | 1 in³ | 1.638706e-5",
                "DENSITY | 1 lb/gal | 119.8264",
                "TEMPERATURE | 212 °F | 373.15",
                "TEMPERATURE | 0 C | 273.15",
                "SPEED | 1 mph | 0.44704",
                "SPEED | 36 km/h | 10",
                "POWER | 1 hp | 745.6999",
                "POWER | 1 PS | 735.4988",
                "ROTATION | 6000 rpm | 100",
                "DISTANCE | 1 mi | 1609.344",
                "SHARE | 50 % | 0.5"
            })
    void unitsHaveTheirPublishedFactors(QuantityKind kind, String text, double si) {
        assertThat(QuantityText.read(kind, text, UnitSystem.METRIC)).isCloseTo(si, within(1e-6 * Math.abs(si)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LENGTH | 10 thou | 0.000254",
                "LENGTH | 1 3/4 in | 0.04445",
                "LENGTH | 0,25 mm | 0.00025",
                "LENGTH | .25mm | 0.00025",
                "LENGTH | -12 | -0.012",
                "LENGTH | −1/2 \" | -0.0127",
                "LENGTH | -8AN | 0.0127",
                "LENGTH | 1.0 MM | 0.001",
                "TURNS | 2.5 turns | 2.5",
                "TURNS | -1/4 | -0.25",
                "TURNS | half a turn | 0.5",
                "ANGLE | 0° 12' | 0.00349065850",
                "ANGLE | -1° 30' | -0.02617993878",
                "ANGLE | 12' | 0.00349065850",
                "STIFFNESS | 40 | 40000",
                "PRESSURE | 40 psi | 275790.29"
            })
    void theyAreReadAsPeopleSayThem(QuantityKind kind, String text, double si) {
        assertThat(QuantityText.read(kind, text, UnitSystem.METRIC)).isCloseTo(si, within(1e-7 * Math.abs(si)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LENGTH | 40 psi | is a pressure",
                "LENGTH | 3 thoo | no unit of a length",
                "LENGTH | wide | no length",
                "LENGTH | '' | no length",
                "LENGTH | 1/0 in | divides by nought",
                "MASS | 1 3 kg | no mass",
                "MASS | --3 kg | no mass",
                "PRESSURE | 2 kg | is a mass",
                "STIFFNESS | 40 N/parsec | no unit of a stiffness"
            })
    void whatIsNoneIsRefusedWithAnExample(QuantityKind kind, String text, String why) {
        assertThatThrownBy(() -> QuantityText.read(kind, text, UnitSystem.METRIC))
                .isInstanceOf(QuantityText.Unreadable.class)
                .hasMessageContaining(why);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LENGTH | 0.00025 | 0.25 mm (0.01 in)",
                "PRESSURE | 190000 | 1.9 bar (27.6 psi)",
                "TURNS | -1.25 | -1.25 turns",
                "MASS | 251.5 | 251.5 kg (554.5 lb)",
                "LENGTH | -0.0000001 | 0 mm (0 in)"
            })
    void bothSystemsAreReadable(QuantityKind kind, double si, String text) {
        assertThat(QuantityText.sayBoth(kind, si, UnitSystem.METRIC)).isEqualTo(text);
    }

    @Property(tries = 300)
    void whatIsSaidIsReadAgainInEveryUnit(
            @ForAll QuantityKind kind,
            @ForAll UnitSystem system,
            @ForAll @DoubleRange(min = 0.5, max = 900) double shown) {
        QuantityKind.Written unit = kind.shown(system);
        double si = QuantityText.read(kind, (shown + " " + unit.label()).strip(), system);
        assertThat(QuantityText.in(kind, si, system)).isCloseTo(shown, within(1e-9 * shown));
        double half = Math.pow(10, -unit.decimals()) / 2 + 1e-9;
        double again = QuantityText.read(kind, QuantityText.say(kind, si, system), system);
        assertThat(QuantityText.in(kind, again, system)).isCloseTo(shown, within(half));
    }
}
