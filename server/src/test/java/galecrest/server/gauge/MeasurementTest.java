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
}
