package galecrest.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The log of measurements: filed by a hand, seen on the board, corrected with the former value kept, undone. */
class MeasurementTest extends ServerTest {
    private static Map<String, Object> sheet(String leftFront) {
        Map<String, Object> form = new HashMap<>();
        form.put("gauge", "corner-weights");
        form.put(
                "asked",
                Map.of(
                        "pads", List.of(leftFront, "268.0", "244.5", "262.0"),
                        "wheelbase", "2500 mm",
                        "front track", "1500 mm",
                        "wheel rate", "40 N/mm",
                        "target", "50 %"));
        form.put("driverIn", true);
        form.put("fuel", "30 L");
        form.put("pressures", "1.9 bar");
        form.put("barsHooked", false);
        form.put("instrument", "pads A–D");
        return form;
    }

    private JsonNode log(String car) throws Exception {
        return call(BO, "GET", "/api/builds/" + car + "/measurements", null).body();
    }

    private JsonNode onBoard(String number) throws Exception {
        for (JsonNode m : find("cars", "number", number).path("measurements")) {
            if (m.path("what").asText().equals("Corner weights")) {
                return m;
            }
        }
        return json.createObjectNode();
    }

    @Test
    void aSheetIsFiledCorrectedAndUndone() throws Exception {
        String car = find("cars", "number", "27").path("id").asText();
        int before = log(car).size();
        Answer filed = call(BO, "POST", "/api/builds/" + car + "/measurements", sheet("391.5"));
        assertThat(filed.status()).as(filed.body().toString()).isEqualTo(200);
        String id = filed.body().path("id").asText();
        Map<String, Object> right = sheet("291.5 kg");
        right.put("correctsId", id);
        assertThat(call(BO, "POST", "/api/builds/" + car + "/measurements", right)
                        .status())
                .isEqualTo(200);
        JsonNode log = log(car);
        assertThat(log).hasSize(before + 2);
        assertThat(log.get(0).path("value").asText()).isEqualTo("cross 48.1 %, 1066 kg");
        assertThat(log.get(0).path("by").asText()).isEqualTo("Bo");
        assertThat(log.get(0).at("/answered/turns/left front/value").asDouble()).isEqualTo(-1.25);
        assertThat(log.get(0).at("/asked/pads/0").asText()).isEqualTo("291.5 kg");
        assertThat(log.get(1).path("correctedBy").asText())
                .isEqualTo(log.get(0).path("id").asText());
        assertThat(onBoard("27").path("value").asText()).isEqualTo("cross 48.1 %, 1066 kg");
        // Corrected once, it is not corrected again.
        assertThat(call(BO, "POST", "/api/builds/" + car + "/measurements", right)
                        .status())
                .isEqualTo(409);
        undo(BO, 2);
        assertThat(log(car)).hasSize(before);
    }

    @Test
    void badSheetsLeaveNoTrace() throws Exception {
        String car = find("cars", "number", "27").path("id").asText();
        int before = log(car).size();
        Answer wrong = call(BO, "POST", "/api/builds/" + car + "/measurements", sheet("-3 kg"));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.at("pads[0]")).contains("out of range");
        Map<String, Object> fuel = sheet("291.5");
        fuel.put("fuel", "30 psi");
        assertThat(call(BO, "POST", "/api/builds/" + car + "/measurements", fuel)
                        .at("fuel"))
                .contains("is a pressure");
        Map<String, Object> unknown = sheet("291.5");
        unknown.put("gauge", "moon");
        assertThat(call(BO, "POST", "/api/builds/" + car + "/measurements", unknown)
                        .at("gauge"))
                .contains("no gauge");
        assertThat(call(BO, "POST", "/api/builds/nowhere/measurements", sheet("291.5"))
                        .status())
                .isEqualTo(404);
        assertThat(log(car)).hasSize(before);
    }

    private String stale(String car) throws Exception {
        StringBuilder all = new StringBuilder();
        log(car).forEach(m -> {
            if (m.has("staleBecause")) {
                all.append(m.path("what").asText())
                        .append(" by ")
                        .append(m.path("staleBecause").asText())
                        .append('\n');
            }
        });
        return all.toString();
    }

    /** A spacer is fitted: what it disturbs is stale from then on, says by what, and is so no more once measured anew. */
    @Test
    void aJobThatIsDoneMakesStaleWhatItDisturbs() throws Exception {
        String car = find("cars", "number", "61").path("id").asText();
        call(BO, "POST", "/api/builds/" + car + "/measurements", sheet("291.5"));
        String before = stale(car);
        String job = call(
                        MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "Strut spacer fitted 1h, fit"))
                .body()
                .toString();
        JsonNode work = null;
        for (JsonNode w : board().path("works")) {
            if (w.path("name").asText().startsWith("Strut spacer")) {
                work = w;
            }
        }
        assertThat(work).as(job).isNotNull();
        assertThat(call(BO, "POST", "/api/works/" + work.path("id").asText() + "/done", null)
                        .status())
                .isEqualTo(204);
        assertThat(stale(car)).contains("Corner weights by Strut spacer fitted");
        assertThat(onBoard("61").path("staleBecause").asText()).contains("Strut spacer");
        assertThat(call(BO, "POST", "/api/builds/" + car + "/renewals", null).status())
                .isEqualTo(403);
        Answer renewed = call(SEF, "POST", "/api/builds/" + car + "/renewals", null);
        // Toe was measured too, and "Toe and pressures" is an open job of the car.
        assertThat(renewed.body().toString()).isEqualTo("[\"Corner weights\"]");
        assertThat(call(SEF, "POST", "/api/builds/" + car + "/renewals", null).at("renew"))
                .contains("measures anew already");
        undo(SEF, 1);
        call(BO, "POST", "/api/builds/" + car + "/measurements", sheet("292.5"));
        assertThat(onBoard("61").has("staleBecause")).isFalse();
        undo(BO, 1);
        assertThat(onBoard("61").path("staleBecause").asText()).contains("Strut spacer");
        undo(BO, 1);
        assertThat(stale(car)).isEqualTo(before);
        undo(BO, 1);
        undo(MARA, 1);
    }
}
