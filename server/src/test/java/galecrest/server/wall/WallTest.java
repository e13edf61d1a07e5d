package galecrest.server.wall;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The workshop's screen: seen without a log-in, by its link alone, until that is revoked. */
class WallTest extends ServerTest {
    private MockHttpServletResponse look(String path) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get("/api" + path))
                .andReturn()
                .getResponse();
    }

    @Test
    void isSeenByItsLinkUntilThatIsRevoked() throws Exception {
        String path =
                call(MARA, "POST", "/api/wall-links", null).body().path("path").asText();
        JsonNode wall = json.readTree(look(path).getContentAsString());
        assertThat(wall.path("shop").asText()).isEqualTo("Brackwater Works");
        assertThat(wall.path("people")).hasSize(6);
        assertThat(wall.path("people").toString()).contains("Toe and pressures");
        assertThat(wall.path("cars").toString()).contains("Greyfell hill climb");
        assertThat(wall.path("news").toString()).contains("made a link to the wall");
        long before = Long.parseLong(look(path + "/change").getContentAsString());
        String car = find("cars", "number", "61").path("id").asText();
        call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "check the mirrors, front, 15m"));
        assertThat(Long.parseLong(look(path + "/change").getContentAsString())).isGreaterThan(before);
        assertThat(look(path).getContentAsString()).contains("Check the mirrors");
        undo(MARA, 1);
        String id = call(MARA, "GET", "/api/wall-links", null)
                .body()
                .get(0)
                .path("id")
                .asText();
        assertThat(call(MARA, "DELETE", "/api/wall-links/" + id, null).status()).isEqualTo(204);
        assertThat(look(path).getStatus()).isEqualTo(404);
        assertThat(look(path + "/change").getStatus()).isEqualTo(404);
    }
}
