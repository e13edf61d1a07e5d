package galecrest.server.capture;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.progress.WorkTest;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The line that is typed is understood before anything is written. */
class CaptureLineServerTest extends WorkTest {
    @Test
    void theLineSaysWhatItUnderstoodAndAsksWithoutWriting() throws Exception {
        String car = car("8");
        long before = board().get("change").asLong();
        String understand = "/api/builds/" + car + "/capture/understand";
        JsonNode clear = call(MARA, "POST", understand, Map.of("text", "hang bias cable, cockpit, 4 h 30, two hands"))
                .body();
        assertThat(clear.path("said").asText()).isEqualTo("New job: Hang bias cable; cockpit; 4½ h; 2 hands.");
        assertThat(clear.path("clear").asBoolean()).isTrue();
        JsonNode asks = call(MARA, "POST", understand, Map.of("text", "held for the gizmo"))
                .body();
        assertThat(asks.path("clear").asBoolean())
                .isEqualTo(asks.path("choices").isEmpty());
        assertThat(call(BO, "POST", understand, Map.of("text", "fuel smell"))
                        .body()
                        .path("said")
                        .asText())
                .as("what a hand writes is a finding")
                .startsWith("Found:");
        assertThat(board().get("change").asLong()).isEqualTo(before);
    }
}
