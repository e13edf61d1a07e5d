package galecrest.core.gauge.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import galecrest.core.gauge.chassis.TyrePressuresGauge;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Sheets that are looked through line by line, and tyre pressures. */
class CheckGaugesTest {
    private static GaugeAnswer answer(Gauge gauge, Map<String, Object> asked) {
        return gauge.answer(GaugeRequest.of(asked));
    }

    private static void refused(Gauge gauge, Map<String, Object> asked, String field, String said) {
        assertThatThrownBy(() -> answer(gauge, asked))
                .isInstanceOfSatisfying(WrongRequest.class, wrong -> assertThat(wrong.problems())
                        .anySatisfy(p -> {
                            assertThat(p.field()).isEqualTo(field);
                            assertThat(p.message()).contains(said);
                        }));
    }

    private static Map<String, Object> fastener(String marked, String by, String checked) {
        return Map.of("fastener", "mount", "torque", "90 Nm", "marked", marked, "by", by, "checked by", checked);
    }

    @Test
    void aTorqueSheetIsGoodOnceEachIsMarkedAndCheckedByAnother() {
        TorqueSheetGauge gauge = new TorqueSheetGauge();
        assertThat(answer(gauge, Map.of("fasteners", List.of(fastener("yes", "Sef", "Ruth"))))
                        .text("verdict"))
                .isEqualTo("all 1 marked and checked");
        GaugeAnswer unchecked = answer(gauge, Map.of("fasteners", List.of(fastener("yes", "Sef", ""))));
        assertThat(unchecked.text("verdict")).contains("1 without a second check");
        assertThat(unchecked.text("good")).isEqualTo("false");
        refused(
                gauge,
                Map.of("fasteners", List.of(fastener("yes", "Sef", "sef"))),
                "fasteners[0].checked by",
                "somebody else");
        refused(gauge, Map.of("fasteners", List.of(fastener("yes", "", ""))), "fasteners[0].by", "who marked");
        refused(gauge, Map.of("fasteners", List.of(Map.of("torque", "9 Nm"))), "fasteners[0].fastener", "which one");
        refused(
                gauge,
                Map.of("fasteners", List.of(Map.of("fastener", "a", "torque", "90 kg"))),
                "fasteners[0].torque",
                "is a mass");
    }

    private static Map<String, Object> limit(String least, String most, String tolerance, String measured) {
        return Map.of("measure", "x", "least", least, "most", most, "tolerance", tolerance, "measured", measured);
    }

    private static String judged(Map<String, Object> limit) {
        GaugeAnswer answer = answer(new ClassCheckGauge(), Map.of("limits", List.of(limit)));
        return String.valueOf(((Map<?, ?>) ((List<?>) answer.values().get("limits")).get(0)).get("judged"));
    }

    @Test
    void aLimitIsMetUpToItsTolerance() {
        assertThat(judged(limit("", "900 mm", "5 mm", "905 mm"))).isEqualTo("met");
        assertThat(judged(limit("", "900 mm", "5 mm", "905.1 mm"))).startsWith("missed by 0.1 mm");
        assertThat(judged(limit("60 mm", "", "", "60 mm"))).isEqualTo("met");
        assertThat(judged(limit("60 mm", "", "", "2 in"))).startsWith("missed by 9.2 mm");
        assertThat(judged(limit("60 mm", "90 mm", "", "75 mm"))).isEqualTo("met");
        assertThat(judged(limit("60 mm", "90 mm", "", ""))).isEqualTo("not measured");
        ClassCheckGauge gauge = new ClassCheckGauge();
        refused(gauge, Map.of("limits", List.of(Map.of("measure", "x"))), "limits[0].least", "checks nothing");
        refused(gauge, Map.of("limits", List.of(limit("90 mm", "60 mm", "", ""))), "limits[0].most", "less than");
        refused(gauge, Map.of("limits", List.of(limit("90 psi", "", "", ""))), "limits[0].least", "is a pressure");
        refused(gauge, Map.of(), "limits", "are needed");
    }

    /** What is judged agrees with comparing plain numbers, on random limits. */
    @Test
    void limitsAgreeWithPlainComparison() {
        Random random = new Random(5);
        for (int i = 0; i < 500; i++) {
            int least = random.nextInt(500);
            int most = least + random.nextInt(500);
            int tolerance = random.nextInt(10);
            int measured = random.nextInt(1_200);
            String judged = judged(limit(least + " mm", most + " mm", tolerance + " mm", measured + " mm"));
            boolean met = measured >= least - tolerance && measured <= most + tolerance;
            assertThat(judged.equals("met"))
                    .as("%d in %d to %d ± %d", measured, least, most, tolerance)
                    .isEqualTo(met);
        }
    }

    @Test
    void thePadThatIsOffIsNamedOnlyWhereThatCanBeKnown() {
        PadCheckGauge gauge = new PadCheckGauge();
        List<Map<String, Object>> round = new ArrayList<>();
        List<Map<String, Object>> pairs = new ArrayList<>();
        String[] pads = {"A", "B", "C", "D"};
        double[] error = {0, 0, 0, -1.5};
        for (int i = 0; i < pads.length; i++) {
            int on = (i + 3) % 4;
            int pair = i ^ 1;
            round.add(Map.of(
                    "pad", pads[i], "reads", 200 + error[i], "then pad", pads[on], "then reads", 200 + error[on]));
            pairs.add(Map.of(
                    "pad", pads[i], "reads", 200 + error[i], "then pad", pads[pair], "then reads", 200 + error[pair]));
        }
        assertThat(answer(gauge, Map.of("corners", round)).text("verdict")).isEqualTo("pad D reads 1.5 kg too little");
        assertThat(answer(gauge, Map.of("corners", pairs)).text("verdict")).contains("move each on by one corner");
        assertThat(answer(gauge, Map.of("corners", round, "tolerance", "2 kg")).text("verdict"))
                .isEqualTo("the pads agree");
        Map<String, Object> same = Map.of("pad", "A", "reads", 200, "then pad", "A", "then reads", 200);
        refused(gauge, Map.of("corners", List.of(same)), "corners", "move each to the next corner");
        Map<String, Object> other = Map.of("pad", "A", "reads", 200, "then pad", "B", "then reads", 200);
        refused(gauge, Map.of("corners", List.of(other)), "corners", "the same pads both times");
    }

    /** Absolute pressures of a gas that is shut in go with absolute temperatures: p₁/T₁ = p₂/T₂ (Gay-Lussac). */
    @Test
    void hotPressuresFollowTheGasLaw() {
        Random random = new Random(9);
        for (int i = 0; i < 200; i++) {
            double bar = 1 + 2 * random.nextDouble();
            double cold = 30 * random.nextDouble();
            double hot = cold + 80 * random.nextDouble();
            GaugeAnswer answer = answer(
                    new TyrePressuresGauge(),
                    Map.of("pressures", bar, "temperature", cold + " °C", "hot", hot + " °C"));
            double then = ((GaugeAnswer.Figure) ((Map<?, ?>) answer.values().get("when hot")).get("left rear")).value();
            assertThat((then + 1.01325) / (hot + 273.15)).isCloseTo((bar + 1.01325) / (cold + 273.15), within(1e-6));
        }
        refused(new TyrePressuresGauge(), Map.of("pressures", "2 bar", "hot", "80 °C"), "temperature", "is needed");
        refused(new TyrePressuresGauge(), Map.of("pressures", "-1 bar"), "pressures", "out of range");
    }
}
