package galecrest.core.mate;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.units.Lengths;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Sides of joints spoilt at random: each is read or refused in a few words, and none takes long. */
@Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
class JointTextsTest {
    private static final int TEXTS = 1_200;
    private static final int LONGEST_ANSWER = 600;
    private static final List<String> WEDGES = List.of(
            "",
            " ",
            ",",
            ".",
            "x",
            "×",
            "±",
            "°",
            "\"",
            "-",
            "/",
            "0",
            "99999999999999999999",
            "1e9",
            "NaN",
            "½",
            "\u0000",
            "male",
            "female",
            "bore",
            "way",
            " ".repeat(100_000),
            ", ".repeat(50_000),
            "9".repeat(5_000),
            "\uD83D",
            "м12");

    private final Random random = new Random(20);

    private String spoilt(String side) {
        StringBuilder text = new StringBuilder(side);
        for (int i = random.nextInt(4); i >= 0; i--) {
            int at = random.nextInt(text.length() + 1);
            switch (random.nextInt(3)) {
                case 0 -> text.setLength(at);
                case 1 -> text.append(text.substring(at));
                default -> text.insert(at, WEDGES.get(random.nextInt(WEDGES.size())));
            }
        }
        return text.toString();
    }

    private static Optional<End> read(MateKind kind, String text) {
        try {
            return JointSideParser.read(kind, text);
        } catch (JointSideParser.Unreadable refused) {
            assertThat(refused.getMessage()).hasSizeLessThan(LONGEST_ANSWER);
            return Optional.empty();
        }
    }

    private static void angle(String text) {
        try {
            QuantityText.read(QuantityKind.ANGLE, text.replaceFirst("^\\D+", "") + "° 10'", UnitSystem.METRIC);
        } catch (QuantityText.Unreadable refused) {
            assertThat(refused.getMessage()).hasSizeLessThan(LONGEST_ANSWER);
        }
    }

    @Test
    void whateverIsWrittenIsReadOrRefused() {
        List<String> all =
                MatesBothWaysTest.SIDES.values().stream().flatMap(List::stream).toList();
        Map<MateKind, List<End>> ends = new EnumMap<>(MateKind.class);
        for (int i = 0; i < TEXTS; i++) {
            String text = spoilt(all.get(random.nextInt(all.size())));
            for (MateKind kind : MateKind.values()) {
                read(kind, text).ifPresent(end -> ends.computeIfAbsent(kind, k -> new ArrayList<>())
                        .add(end));
            }
            Lengths.millimetres(text);
            angle(text);
        }
        assertThat(ends).as("some of each kind are read all the same").hasSize(MateKind.values().length);
        ends.forEach((kind, some) -> {
            for (int i = 1; i < some.size(); i++) {
                assertThat(Mates.judge(kind, Optional.of(some.get(i - 1)), Optional.of(some.get(i))))
                        .isNotNull();
            }
        });
    }
}
