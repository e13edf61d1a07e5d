package galecrest.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.List;
import java.util.Map;

/** Tests of what is done in the shop: work is written down in a line, and looked up. */
public abstract class WorkTest extends ServerTest {
    protected String car(String number) throws Exception {
        return find("cars", "number", number).get("id").asText();
    }

    protected String capture(String car, String text, String... chosen) throws Exception {
        Answer answer =
                call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", text, "chosen", List.of(chosen)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("workId").asText();
    }

    protected JsonNode work(String id) throws Exception {
        return find("works", "id", id);
    }

    protected String person(String name) throws Exception {
        return find("people", "name", name).get("id").asText();
    }
}
