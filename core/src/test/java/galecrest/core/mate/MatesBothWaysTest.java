package galecrest.core.mate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Whether two sides fit does not depend on which of them is on the car: every kind of joint, each way of writing a side with
 * each other. Only a bolt circle has a hub and a wheel: a wheel whose bore is too large is centred by a ring, one whose bore
 * is too small does not go on (common practice).
 */
class MatesBothWaysTest {
    static final Map<MateKind, List<String>> SIDES = new EnumMap<>(Map.of(
            MateKind.THREAD,
            List.of(
                    "M12x1.25 male",
                    "M12x1.25 female",
                    "M12x1.5 male",
                    "3/4-16 female",
                    "3/4-16 male",
                    "-8 AN male",
                    "-8 AN female",
                    "-6 AN male",
                    "-6 AN female"),
            MateKind.BOLT_CIRCLE,
            List.of("4x100 bore 57.1", "4x100 bore 60.1", "5x100 bore 57.1", "4x108 bore 63.4"),
            MateKind.SPLINE,
            List.of("23 x 28.5 male", "23 x 28.5 female", "26 x 30 female", "26 x 30 male", "23 x 29 female"),
            MateKind.BORE_AND_SHAFT,
            List.of(
                    "bore 25.00..25.02",
                    "shaft 24.97..24.99",
                    "shaft 25.01..25.03",
                    "shaft 25.10..25.12",
                    "bore 24.90..24.95"),
            MateKind.JOINT,
            List.of("108 mm, outer", "108 mm, inner", "94 mm outer", "94 mm inner"),
            MateKind.TUBE,
            List.of("1.75 x 0.095 in", "38 x 2", "38 x 1.5", "44.45 x 2.413"),
            MateKind.FLANGE,
            List.of("2 bolts at 80, port 57", "2 bolts at 80, port 54", "3 bolts at 80, port 57", "band 76", "band 63"),
            MateKind.PLUG,
            List.of("SL 6-way male", "SL 6-way female", "SL 4-way female", "QR 6-way female"),
            MateKind.VOLTAGE,
            List.of("12 V", "takes 10..16 V", "24 V", "takes 20..30 V"),
            MateKind.ENVELOPE,
            List.of(
                    "part 300x200x150",
                    "room 320x220x160",
                    "room 290x220x160",
                    "part 150x300x200",
                    "room 150x200x300")));

    private static Optional<End> read(MateKind kind, String text) {
        try {
            return JointSideParser.read(kind, text);
        } catch (JointSideParser.Unreadable unreadable) {
            throw new AssertionError(kind + ": " + text, unreadable);
        }
    }

    @ParameterizedTest
    @EnumSource(value = MateKind.class, mode = EnumSource.Mode.EXCLUDE, names = "BOLT_CIRCLE")
    void theVerdictIsTheSameFromBothSides(MateKind kind) {
        List<String> verdicts = new ArrayList<>();
        List<String> sides = SIDES.get(kind);
        for (String one : sides) {
            for (String other : sides) {
                Verdict there = Mates.judge(kind, read(kind, one), read(kind, other));
                Verdict back = Mates.judge(kind, read(kind, other), read(kind, one));
                assertThat(back.getClass())
                        .as("%s: %s and %s", kind, one, other)
                        .isEqualTo(there.getClass());
                verdicts.add(there.getClass().getSimpleName());
            }
            assertThat(Mates.judge(kind, read(kind, one), Optional.empty())).isInstanceOf(Verdict.Unknown.class);
            assertThat(Mates.judge(kind, Optional.empty(), read(kind, one))).isInstanceOf(Verdict.Unknown.class);
        }
        assertThat(verdicts)
                .as("some fit and some do not")
                .contains("Fits")
                .containsAnyOf("DoesNotFit", "NeedsAdapter");
    }

    @Test
    void aWheelIsCentredByARingOnASmallerHubAndDoesNotGoOnALargerOne() {
        Optional<End> small = read(MateKind.BOLT_CIRCLE, "4x100 bore 57.1");
        Optional<End> large = read(MateKind.BOLT_CIRCLE, "4x100 bore 60.1");
        assertThat(Mates.judge(MateKind.BOLT_CIRCLE, small, large)).isInstanceOf(Verdict.NeedsAdapter.class);
        assertThat(Mates.judge(MateKind.BOLT_CIRCLE, large, small)).isInstanceOf(Verdict.DoesNotFit.class);
        assertThat(Mates.judge(MateKind.BOLT_CIRCLE, small, small)).isInstanceOf(Verdict.Fits.class);
    }
}
