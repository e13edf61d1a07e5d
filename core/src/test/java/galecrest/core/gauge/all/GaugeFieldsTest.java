package galecrest.core.gauge.all;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import galecrest.core.gauge.chassis.Corner;
import galecrest.core.shop.Problem;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** What a gauge says it asks is what it asks: a form that is drawn from it can neither ask for nothing nor forget a field. */
class GaugeFieldsTest {
    @TestFactory
    Stream<DynamicTest> everyFieldIsAskedForAndNoOther() {
        return Gauges.ALL.stream()
                .map(gauge -> DynamicTest.dynamicTest(gauge.name(), () -> {
                    Map<String, Object> all = filled(gauge.fields());
                    assertThat(problems(gauge, all)).noneMatch(p -> p.message().contains("is not asked for"));
                    // The message names what is asked for: nothing of it is missing among the fields.
                    all.put("nonsense", "1");
                    String message = problems(gauge, all).stream()
                            .filter(p -> p.field().equals("nonsense"))
                            .map(Problem::message)
                            .findFirst()
                            .orElseThrow();
                    assertThat(message.replaceAll("^.*what is: units(, )?", "")
                                    .replaceAll("\\.$", "")
                                    .split(", "))
                            .allMatch(all::containsKey);
                }));
    }

    @TestFactory
    Stream<DynamicTest> whatIsNeededIsAskedForAtItsField() {
        return Gauges.ALL.stream().flatMap(gauge -> gauge.fields().stream()
                .filter(GaugeField::needed)
                .map(field -> DynamicTest.dynamicTest(gauge.name() + " " + field.name(), () -> {
                    Map<String, Object> most = filled(gauge.fields());
                    most.remove(field.name());
                    assertThat(problems(gauge, most)).anyMatch(p -> p.field().startsWith(field.name()));
                })));
    }

    /** What people and programs send: whatever it is, an answer or a problem comes at once. */
    @TestFactory
    Stream<DynamicTest> noRequestHangsOrBreaks() {
        return Gauges.ALL.stream()
                .map(gauge -> DynamicTest.dynamicTest(gauge.name(), () -> {
                    Random random = new Random(gauge.name().hashCode());
                    for (int i = 0; i < 120; i++) {
                        Map<String, Object> asked =
                                filled(gauge.fields(), () -> NASTY.get(random.nextInt(NASTY.size())));
                        assertTimeoutPreemptively(
                                Duration.ofSeconds(10), () -> problems(gauge, asked), asked::toString);
                    }
                }));
    }

    /** Pressures in psi, all else metric: bare numbers and answers go by it, the other unit stands beside. */
    @Test
    void unitsAreChosenByKind() {
        Map<String, Object> asked = Map.of(
                "units", Map.of("pressure", "customary"),
                "pressures", List.of("28", "28", "27", "1.86 bar"),
                "temperature", "20");
        GaugeAnswer answer = Gauges.named("tyre-pressures").orElseThrow().answer(GaugeRequest.of(asked));
        GaugeAnswer.Figure left =
                (GaugeAnswer.Figure) ((Map<?, ?>) answer.values().get("pressures")).get("left front");
        // 1 psi = 6.894 757 kPa (NIST SP 811).
        assertThat(left.unit()).isEqualTo("psi");
        assertThat(left.said()).isEqualTo("28 psi (1.93 bar)");
        assertThat(answer.text("said")).isEqualTo("28 psi / 28 psi / 27 psi / 27 psi");
        assertThat(problems(Gauges.named("tyre-pressures").orElseThrow(), Map.of("units", Map.of("colour", "metric"))))
                .anyMatch(p -> p.field().equals("units.colour"));
    }

    private static final List<Object> NASTY = List.of(
            "1",
            "1",
            "0.5",
            "40",
            "250",
            "2500",
            "0",
            "-1",
            "1e308",
            "1e-308",
            "",
            "NaN",
            "x",
            "10 thou",
            "3/0 in",
            "-8AN",
            "90°",
            "1.9 bar",
            "99999999999",
            3,
            true,
            List.of(),
            Map.of(),
            Map.of("value", "1", "unit", "mm"));

    private static List<Problem> problems(Gauge gauge, Map<String, Object> asked) {
        try {
            gauge.answer(GaugeRequest.of(asked));
            return List.of();
        } catch (WrongRequest wrong) {
            return wrong.problems();
        }
    }

    private static Map<String, Object> filled(List<GaugeField> fields) {
        return filled(fields, () -> "1");
    }

    private static Map<String, Object> filled(List<GaugeField> fields, Supplier<Object> one) {
        Map<String, Object> all = new HashMap<>();
        for (GaugeField field : fields) {
            if (field.type() == GaugeField.Type.WHEELS) {
                Corner.NAMES.forEach(c -> all.put(c, filled(field.columns(), one)));
            } else {
                all.put(field.name(), value(field, one));
            }
        }
        return all;
    }

    private static Object value(GaugeField field, Supplier<Object> one) {
        return switch (field.type()) {
            case QUANTITY, TEXT -> one.get();
            case LIST, CORNERS -> List.of(one.get(), one.get(), one.get(), one.get());
            case FLAG -> false;
            case CHOICE -> field.choices().get(field.choices().size() - 1);
            case ROWS -> List.of(filled(field.columns(), one));
            case PART, WHEELS -> filled(field.columns(), one);
        };
    }
}
