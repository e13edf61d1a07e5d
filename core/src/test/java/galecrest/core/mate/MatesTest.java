package galecrest.core.mate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.units.Lengths;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MatesTest {
    /** Stress areas of ISO 898-1, tables 4 and 6, mm². */
    @ParameterizedTest
    @CsvSource({
        "M3, 5.03",
        "M4, 8.78",
        "M5, 14.2",
        "M6, 20.1",
        "M8, 36.6",
        "M10, 58.0",
        "M12, 84.3",
        "M14, 115",
        "M16, 157",
        "M18, 192",
        "M20, 245",
        "M22, 303",
        "M24, 353",
        "M27, 459",
        "M30, 561",
        "M33, 694",
        "M36, 817",
        "M39, 976",
        "M8x1, 39.2",
        "M10x1, 64.5",
        "M10x1.25, 61.2",
        "M12x1.25, 92.1",
        "M12x1.5, 88.1",
        "M14x1.5, 125",
        "M16x1.5, 167",
        "M18x1.5, 216",
        "M20x1.5, 272",
        "M22x1.5, 333",
        "M24x2, 384",
        "M27x2, 496",
        "M30x2, 621"
    })
    void theMetricTableHasTheStressAreasOfIso898(String name, double area) {
        assertThat(Threads.read(name).orElseThrow().stressArea()).isCloseTo(area, within(area * 0.005));
    }

    /** Tensile stress areas of ASME B1.1, in². */
    @ParameterizedTest
    @CsvSource({
        "#10-24, 0.0175", "#10-32, 0.0200", "1/4-20, 0.0318", "1/4-28, 0.0364", "5/16-18, 0.0524", "5/16-24, 0.0580",
        "3/8-16, 0.0775", "3/8-24, 0.0878", "7/16-14, 0.1063", "7/16-20, 0.1187", "1/2-13, 0.1419", "1/2-20, 0.1599",
        "9/16-12, 0.182", "9/16-18, 0.203", "5/8-11, 0.226", "5/8-18, 0.256", "3/4-10, 0.334", "3/4-16, 0.373",
        "7/8-9, 0.462", "7/8-14, 0.509", "1-8, 0.606", "1-12, 0.663", "1 1/8-7, 0.763", "1 1/8-12, 0.856",
        "1 1/4-7, 0.969", "1 1/4-12, 1.073", "1 1/2-6, 1.405", "1 1/2-12, 1.581"
    })
    void theUnifiedTableHasTheStressAreasOfAsmeB11(String name, double area) {
        assertThat(Threads.read(name).orElseThrow().stressArea() / (25.4 * 25.4))
                .isCloseTo(area, within(area * 0.006));
    }

    /** SAE J514, 37° flare: thread of each dash size and its tube. */
    @ParameterizedTest
    @CsvSource({
        "-4, 7/16-20, 0.25",
        "-6, 9/16-18, 0.375",
        "-8, 3/4-16, 0.5",
        "-10, 7/8-14, 0.625",
        "-12, 1 1/16-12, 0.75",
        "-16, 1 5/16-12, 1.0",
        "-20, 1 5/8-12, 1.25"
    })
    void aDashSizeIsItsThreadAndItsTube(String dash, String thread, double tube) {
        ThreadSize size = Threads.read(dash).orElseThrow();
        assertThat(size.name()).isEqualTo(thread);
        int number = Threads.dashOf(size).orElseThrow();
        assertThat(Threads.dashTube(number) / 25.4).isEqualTo(tube, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "THREAD | M12x1.25 female | M12×1.25 male | Fits",
                "THREAD | M12 female | M12x1.25 male | DoesNotFit",
                "THREAD | 1/2-13 female | M12 male | DoesNotFit",
                "THREAD | -8AN male | 3/4-16 female | Fits",
                "THREAD | -8 AN male | -10 JIC female | NeedsAdapter",
                "THREAD | -8 AN male | -8 AN male | NeedsAdapter",
                "THREAD | -8 AN male | 3/4-16 45° female | DoesNotFit",
                "THREAD | M10x1 male | ? | Unknown",
                "BOLT_CIRCLE | 4x100 bore 57.1 | 4 x 100 bore 57.1 | Fits",
                "BOLT_CIRCLE | 4x100 bore 57.1 | 4x108 bore 57.1 | NeedsAdapter",
                "BOLT_CIRCLE | 4x100 bore 57.1 | 4x100 bore 60.1 | NeedsAdapter",
                "BOLT_CIRCLE | 4x100 bore 57.1 | 4x100 bore 56.1 | DoesNotFit",
                "SPLINE | 23 x 28.5 female | 23x28.5 male | Fits",
                "SPLINE | 23 x 28.5 female | 26x28.5 male | DoesNotFit",
                "BORE_AND_SHAFT | bore 25.000..25.021 | shaft 24.967..24.980 | Fits",
                "JOINT | 108 mm outer | 100 mm outer | DoesNotFit",
                "JOINT | 108 outer | 108 | Fits",
                "TUBE | 1.75 x 0.095 in | 44.45 x 2.4 | Fits",
                "TUBE | 38 x 2 | 1 3/4 x 0.095 in | NeedsAdapter",
                "FLANGE | 2 bolts at 80, port 57 | 2 bolt 80 port 57 | Fits",
                "FLANGE | band 76 | 4 bolts at 80, port 70 | NeedsAdapter",
                "PLUG | SL 6-way male | sl 6 way female | Fits",
                "PLUG | SL 6-way male | SL 4-way sockets | DoesNotFit",
                "VOLTAGE | 12..14.4 V | takes 10..16 V | Fits",
                "VOLTAGE | 24 V | takes 10..16 V | NeedsAdapter",
                "VOLTAGE | 12 V | 12..14.4 V | DoesNotFit",
                "VOLTAGE | takes 12 V | takes 10..16 V | DoesNotFit",
                "ENVELOPE | room 320x220x160 | part 150x300x200 | Fits",
                "ENVELOPE | room 320x220x160 | part 150x330x200 | DoesNotFit",
                "THREAD | M12 male | M12 male | DoesNotFit",
                "THREAD | ? | ? | Unknown",
                "BOLT_CIRCLE | 4x100 | 5x100 | NeedsAdapter",
                "SPLINE | 23 x 28.5 female | 23 x 28.5 female | DoesNotFit",
                "SPLINE | 23 x 28.5 female | 23 x 30 male | DoesNotFit",
                "BORE_AND_SHAFT | bore 25.000..25.021 | bore 25.000..25.021 | DoesNotFit",
                "BORE_AND_SHAFT | shaft 25 ±0.01 | shaft 25 ±0.01 | DoesNotFit",
                "JOINT | 108 mm outer | 108 inner | DoesNotFit",
                "FLANGE | 2 bolts at 80, port 57 | 3 bolts at 80, port 57 | NeedsAdapter",
                "FLANGE | 2 bolts at 80, port 57 | 2 bolts at 80, port 50 | DoesNotFit",
                "PLUG | SL 6-way male | SL 6-way male | DoesNotFit",
                "PLUG | SL 6-way female | SL 6-way sockets | DoesNotFit",
                "PLUG | SL 6-way male | TK 6-way female | NeedsAdapter",
                "VOLTAGE | takes 10..16 V | 12..14.4 V | Fits",
                "ENVELOPE | room 320x220x160 | room 320x220x160 | Unknown",
            })
    void sidesAreJudged(MateKind kind, String there, String comes, String verdict) {
        Verdict judged = Mates.judge(kind, JointSideParser.read(kind, there), JointSideParser.read(kind, comes));
        assertThat(judged.getClass().getSimpleName()).as(judged.sentence()).isEqualTo(verdict);
    }

    /** ISO 286-2: 25 H7/g6 is 0.007 to 0.041 mm of clearance (H7 +0.021/0, g6 −0.007/−0.020). */
    @Test
    void aFitSaysItsClearance() {
        Verdict fit = Mates.judge(
                MateKind.BORE_AND_SHAFT,
                JointSideParser.read(MateKind.BORE_AND_SHAFT, "bore 25.000..25.021"),
                JointSideParser.read(MateKind.BORE_AND_SHAFT, "shaft 24.980..24.993"));
        assertThat(fit.sentence()).isEqualTo("clearance 0.007 mm to 0.041 mm");
    }

    /**
     * ISO 286-2, diameters over 18 to 30 mm: H7 is 0/+0.021, g6 −0.020/−0.007, h6 −0.013/0, k6 +0.002/+0.015,
     * p6 +0.022/+0.035 (from memory).
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "h6 | 24.987..25.000 | clearance 0 mm to 0.034 mm",
                "k6 | 25.002..25.015 | transition, 0.015 mm tight to 0.019 mm loose",
                "p6 | 25.022..25.035 | interference 0.001 mm to 0.035 mm: a press fit; is that meant?",
            })
    void aFitIsNamedAsTheIsoTablesHaveIt(String letter, String shaft, String said) {
        Verdict fit = Mates.judge(
                MateKind.BORE_AND_SHAFT,
                JointSideParser.read(MateKind.BORE_AND_SHAFT, "shaft " + shaft),
                JointSideParser.read(MateKind.BORE_AND_SHAFT, "bore 25.000..25.021"));
        assertThat(fit.sentence()).as("25 H7/%s", letter).isEqualTo(said);
    }

    @Test
    void whatIsLikelyOverlookedIsSaidWithTheFit() {
        assertThat(said(MateKind.TUBE, "44.45 x 2.4", "44.45 x 1.2")).contains("the walls differ by 1.2 mm");
        assertThat(said(MateKind.THREAD, "-8 AN male", "3/4-16 female")).contains("only one side names its seat");
        assertThat(said(MateKind.FLANGE, "2 bolts at 80, port 57", "2 bolts at 80, port 50"))
                .contains("the ports differ by 7 mm");
        assertThat(said(MateKind.JOINT, "108 outer", "112 outer")).contains("4 mm too large");
        assertThat(said(MateKind.ENVELOPE, "room 320x220x160", "part 319x219x159"))
                .contains("tight");
        assertThat(said(MateKind.BORE_AND_SHAFT, "bore 25.01 ±0.01", "shaft 24.95 ±0.01"))
                .isEqualTo("clearance 0.04 mm to 0.08 mm");
    }

    private static String said(MateKind kind, String there, String comes) {
        return Mates.judge(kind, JointSideParser.read(kind, there), JointSideParser.read(kind, comes))
                .sentence();
    }

    /** What one side is to the other, the other is to the one. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "THREAD | M12 female | M12x1.25 male",
                "BOLT_CIRCLE | 4x100 bore 57.1 | 4x108 bore 57.1",
                "SPLINE | 23 x 28.5 female | 26x28.5 male",
                "TUBE | 38 x 2 | 44.45 x 2.4",
                "FLANGE | band 76 | 4 bolts at 80, port 70",
                "PLUG | SL 6-way male | SL 4-way sockets",
                "ENVELOPE | room 320x220x160 | part 150x330x200",
                "VOLTAGE | 24 V | takes 10..16 V"
            })
    void theSidesMayBeNamedInEitherOrder(MateKind kind, String one, String other) {
        assertThat(Mates.judge(kind, JointSideParser.read(kind, other), JointSideParser.read(kind, one)))
                .hasSameClassAs(Mates.judge(kind, JointSideParser.read(kind, one), JointSideParser.read(kind, other)));
    }

    @Test
    void anAdapterIsNamedByItsEnds() {
        Verdict verdict = Mates.judge(
                MateKind.THREAD,
                JointSideParser.read(MateKind.THREAD, "-8 AN male"),
                JointSideParser.read(MateKind.THREAD, "-10 AN female"));
        assertThat(verdict.sentence()).isEqualTo("Needs an adapter: 3/4-16 (−8) female to 7/8-14 (−10) male.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "THREAD | M12x1.25",
                "THREAD | M13 male",
                "THREAD | 3/4-15 male",
                "BOLT_CIRCLE | round",
                "TUBE | 10 x 6",
                "TUBE | x",
                "TUBE | x 2",
                "JOINT | big",
                "ENVELOPE | 3x4",
                "SPLINE | 23 male",
                "VOLTAGE | lots",
                "PLUG | SL male",
                "FLANGE | wide"
            })
    void whatIsNoSuchSideIsRefusedWithAnExample(MateKind kind, String text) {
        assertThatThrownBy(() -> JointSideParser.read(kind, text))
                .isInstanceOf(JointSideParser.Unreadable.class)
                .hasMessageContaining(kind.example());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "10 thou | 0.254",
                "1 3/4 in | 44.45",
                "0,25 mm | 0.25",
                "95 | 95",
                "2.5\" | 63.5",
                "3/8 in | 9.525"
            })
    void lengthsAreReadAsPeopleSayThem(String text, double millimetres) {
        assertThat(Lengths.millimetres(text).orElseThrow()).isCloseTo(millimetres, within(1e-9));
    }
}
