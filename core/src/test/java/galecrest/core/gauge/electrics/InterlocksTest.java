package galecrest.core.gauge.electrics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Predicate;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InterlocksTest {
    private static final List<String> NAMES = List.of("brake pressed", "neutral", "start button", "kill");

    private record Made(String text, Predicate<Map<String, Boolean>> means) {}

    /** A condition that is made together with what it means. */
    private static Made made(Random random, int depth) {
        if (depth == 0 || random.nextInt(4) == 0) {
            String name = NAMES.get(random.nextInt(NAMES.size()));
            return new Made(name, s -> s.getOrDefault(name, false));
        }
        Made left = made(random, depth - 1);
        Made right = made(random, depth - 1);
        return switch (random.nextInt(3)) {
            case 0 ->
                new Made(
                        "(" + left.text + ") and (" + right.text + ")", s -> left.means.test(s) && right.means.test(s));
            case 1 ->
                new Made(
                        "(" + left.text + ") OR  (" + right.text + ")", s -> left.means.test(s) || right.means.test(s));
            default -> new Made("not (" + left.text + ")", s -> !left.means.test(s));
        };
    }

    private static Map<String, Boolean> state(int bits) {
        Map<String, Boolean> state = new HashMap<>();
        for (int i = 0; i < NAMES.size(); i++) {
            state.put(NAMES.get(i), (bits >> i & 1) == 1);
        }
        return state;
    }

    @Property(tries = 300)
    void meansWhatItSaysInEveryState(@ForAll long seed) {
        Made made = made(new Random(seed), 4);
        Condition read = Condition.read(made.text);
        for (int bits = 0; bits < 16; bits++) {
            assertThat(read.holds().test(state(bits))).isEqualTo(made.means.test(state(bits)));
        }
    }

    /** Not binds closest, or least. */
    @Test
    void bindsAsUsual() {
        Condition read = Condition.read("not kill and neutral or brake pressed");
        for (int bits = 0; bits < 16; bits++) {
            Map<String, Boolean> s = state(bits);
            assertThat(read.holds().test(s)).isEqualTo((!s.get("kill") && s.get("neutral")) || s.get("brake pressed"));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "'a and', too early",
        "'(a or b', not closed",
        "'and a', needs something before",
        "'a ) b', stands where"
    })
    void saysWhatCannotBeRead(String text, String why) {
        assertThatThrownBy(() -> Condition.read(text)).hasMessageContaining(why);
    }

    @Test
    void tooMuchIsRefusedAndNotTried() {
        assertThatThrownBy(() -> Condition.read("not ".repeat(100_000) + "a")).hasMessageContaining("200 words");
        StringBuilder many = new StringBuilder("i0");
        for (int i = 1; i < 13; i++) {
            many.append(" and i").append(i);
        }
        assertThatThrownBy(() -> ask(List.of(rule(many.toString(), "pump")), List.of()))
                .isInstanceOfSatisfying(
                        WrongRequest.class,
                        w -> assertThat(w.problems().get(0).message()).contains("13 inputs; 12 at the most"));
    }

    private static GaugeAnswer ask(List<Map<String, String>> rules, List<Map<String, String>> never) {
        return new InterlocksGauge().answer(GaugeRequest.of(Map.of("rules", rules, "never", never)));
    }

    private static Map<String, String> rule(String when, String then) {
        return Map.of("when", when, "then", then);
    }

    /** Start only in neutral with the brake pressed: the contradiction is named with its state, and mended. */
    @Test
    void aContradictionIsFoundAndMended() {
        List<Map<String, String>> never = List.of(Map.of("what", "starter and not neutral"));
        GaugeAnswer wrong = ask(
                List.of(rule("start button and brake pressed", "starter"), rule("kill", "not starter and not pump")),
                never);
        assertThat(wrong.values().get("good")).isEqualTo(false);
        assertThat(wrong.values().get("wrong").toString())
                .contains(
                        "with brake pressed, kill, start button, \"when start button and brake pressed then starter\" asks for"
                                + " what \"when kill then not starter\" forbids")
                .contains("with brake pressed, start button, it is so that starter and not neutral");
        GaugeAnswer mended = ask(
                List.of(
                        rule("start button and brake pressed and neutral and not kill", "starter"),
                        rule("(ignition or starter) and not kill", "pump")),
                never);
        assertThat(mended.values().get("good")).isEqualTo(true);
        assertThat(mended.value("states")).isEqualTo(32);
        assertThat(mended.text("verdict")).isEqualTo("32 states tried, no contradiction");
        // The pump hangs on the starter, which hangs on inputs: at the least the ignition is enough.
        assertThat(mended.values().get("outputs").toString()).contains("ignition");
    }

    @Test
    void aCircleIsRefusedAndAnIdleRuleNamed() {
        assertThatThrownBy(() -> ask(List.of(rule("a", "b"), rule("b", "a")), List.of()))
                .isInstanceOf(WrongRequest.class);
        GaugeAnswer idle = ask(List.of(rule("a and not a", "b")), List.of());
        assertThat(idle.values().get("notes").toString())
                .contains("is never called on")
                .contains("b is on in no state");
        assertThat(idle.values().get("good")).isEqualTo(false);
    }

    @Test
    void powerUpAndIsolatorAreJudged() {
        GaugeAnswer first = new PowerUpGauge()
                .answer(GaugeRequest.of(Map.of(
                        "circuits",
                        List.of(
                                Map.of("circuit", "pump", "expected", "8 A", "seen", "8.4 A"),
                                Map.of("circuit", "fan", "expected", "14 A")))));
        assertThat(first.text("verdict")).isEqualTo("1 of 2 on; next: fan");
        GaugeAnswer bad = new PowerUpGauge()
                .answer(GaugeRequest.of(Map.of(
                        "circuits",
                        List.of(Map.of("circuit", "fan", "expected", "14 A", "fuse", "20 A", "seen", "22 A")))));
        assertThat(bad.text("verdict")).isEqualTo("fan: more than its fuse");
        Map<String, Object> runsOn = Map.of(
                "pulled",
                "outside",
                "engine",
                "revved",
                "engine stops",
                false,
                "pump dead",
                true,
                "lights dead",
                true,
                "by",
                "Kit");
        assertThat(new IsolatorGauge()
                        .answer(GaugeRequest.of(Map.of("pulls", List.of(runsOn))))
                        .text("verdict"))
                .isEqualTo("outside, engine revved: the engine runs on");
    }
}
