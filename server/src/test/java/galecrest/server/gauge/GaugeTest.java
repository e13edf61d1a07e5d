package galecrest.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.server.ServerTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Gauges over HTTP: by whoever is signed in, without a trace. */
class GaugeTest extends ServerTest {
    @Test
    void aHandAsksAGauge() throws Exception {
        assertThat(call(BO, "GET", "/api/gauges", null).body().findValuesAsText("name"))
                .contains("corner-weights", "strings");
        Answer answer = call(
                BO,
                "POST",
                "/api/gauges/clutch-stop",
                Map.of("free at", List.of("81 mm", "82 mm", "80 mm"), "most travel", "120 mm"));
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.body().at("/stop at/value").asDouble()).isEqualTo(88);
    }

    @Test
    void whatIsWrongIsSaidAtItsField() throws Exception {
        Answer wrong =
                call(BO, "POST", "/api/gauges/corner-weights", Map.of("pads", List.of("-3 kg", "40 psi", 250, 250)));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.at("pads[0]")).contains("out of range");
        assertThat(wrong.at("pads[1]")).contains("is a pressure");
        assertThat(call(BO, "POST", "/api/gauges/moon", Map.of()).status()).isEqualTo(404);
    }
}
