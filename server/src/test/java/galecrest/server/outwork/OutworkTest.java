package galecrest.server.outwork;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class OutworkTest extends ServerTest {
    @Test
    void anUnfinishedChecklistIsWarnedOfAndOnReturnTheJobsFollow() throws Exception {
        String before = record();
        String paint = find("works", "name", "Shell painted").get("id").asText();
        String path = "/api/outworks/" + paint;
        JsonNode sheet = call(SEF, "GET", path, null).body();
        String first = sheet.at("/send/0/item").asText();
        assertThat(call(
                                BO,
                                "POST",
                                path + "/checks",
                                Map.of("side", "SEND", "item", first, "done", true, "answer", "6"))
                        .status())
                .isEqualTo(204);
        assertThat(call(
                                BO,
                                "POST",
                                path + "/checks",
                                Map.of("side", "SEND", "item", "else", "done", true, "answer", ""))
                        .at("item"))
                .contains("not on the checklist");
        Answer warned = call(MARA, "POST", path + "/send", Map.of("anyway", false));
        assertThat(warned.status()).isEqualTo(422);
        assertThat(warned.at("checklist"))
                .startsWith("4 of the checklist are open")
                .doesNotContain(first);
        assertThat(call(MARA, "POST", path + "/return", Map.of("jobs", List.of(), "limits", ""))
                        .at("return"))
                .contains("not away");
        assertThat(call(MARA, "POST", path + "/send", Map.of("anyway", true)).status())
                .isEqualTo(204);
        assertThat(find("works", "id", paint).get("status").asText()).isEqualTo("STARTED");
        int deliveries = find("vendors", "id", "slip").get("deliveries").asInt();
        Answer back = call(
                MARA,
                "POST",
                path + "/return",
                Map.of("jobs", List.of("Trial fit after coating", "Chase threads and sensor holes"), "limits", ""));
        assertThat(back.body().get("jobs")).hasSize(2);
        JsonNode trial = find("works", "name", "Trial fit after coating");
        assertThat(trial.has("placed")).isTrue();
        assertThat(find("vendors", "id", "slip").get("deliveries").asInt()).isEqualTo(deliveries + 1);
        for (int i = 0; i < 2; i++) {
            call(MARA, "POST", "/api/undo", null);
        }
        call(BO, "POST", "/api/undo", null);
        assertThat(record()).isEqualTo(before);
    }
}
