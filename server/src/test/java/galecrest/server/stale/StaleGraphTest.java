package galecrest.server.stale;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What disturbs what is the house's own, and what a job disturbs is anybody's who plans. */
class StaleGraphTest extends ServerTest {
    private JsonNode graph() throws Exception {
        return call(BO, "GET", "/api/disturbances", null).body();
    }

    /** The graph as it is, ready to be sent back. */
    private static Map<String, Object> form(JsonNode graph) {
        List<Object> disturbances = new ArrayList<>();
        graph.path("disturbances").forEach(d -> {
            List<String> first = new ArrayList<>();
            d.path("first").forEach(m -> first.add(m.asText()));
            disturbances.add(new HashMap<>(Map.of(
                    "id", d.path("id").asText(),
                    "label", d.path("label").asText(),
                    "words", d.path("words").asText(),
                    "first", first)));
        });
        Map<String, Object> moves = new HashMap<>();
        graph.path("measured").forEach(m -> {
            List<String> its = new ArrayList<>();
            m.path("moves").forEach(o -> its.add(o.asText()));
            moves.put(m.path("name").asText(), its);
        });
        return new HashMap<>(
                Map.of("edition", graph.path("edition").asText(), "disturbances", disturbances, "moves", moves));
    }

    @SuppressWarnings("unchecked")
    private static List<Object> disturbances(Map<String, Object> form) {
        return (List<Object>) form.get("disturbances");
    }

    @Test
    void theHouseHasItsOwnAndLeavesItAgain() throws Exception {
        JsonNode before = graph();
        assertThat(before.path("usual").asBoolean()).isTrue();
        Map<String, Object> form = form(before);
        disturbances(form)
                .add(Map.of("label", "Seat moved", "words", "seat rail, seat in", "first", List.of("CORNER_WEIGHTS")));
        assertThat(call(SEF, "PUT", "/api/disturbances", form).status()).isEqualTo(403);
        assertThat(call(MARA, "PUT", "/api/disturbances", form).status()).isEqualTo(204);
        JsonNode own = graph();
        assertThat(own.path("usual").asBoolean()).isFalse();
        assertThat(own.path("disturbances")).hasSize(before.path("disturbances").size() + 1);
        // Whoever looked before that does not write over it.
        Answer late = call(MARA, "PUT", "/api/disturbances", form);
        assertThat(late.status()).isEqualTo(409);

        String job = find("works", "name", "Corner weights").path("id").asText();
        assertThat(job).isNotEmpty();
        undo(MARA, 1);
        assertThat(graph().path("edition").asText())
                .isEqualTo(before.path("edition").asText());
    }

    @Test
    void whatCannotBeIsSaidAtItsField() throws Exception {
        Map<String, Object> form = form(graph());
        disturbances(form).add(Map.of("label", " ", "words", "x", "first", List.of()));
        ((Map<String, Object>) form.get("moves")).put("TOE", List.of("HEIGHTS"));
        Answer wrong = call(MARA, "PUT", "/api/disturbances", form);
        assertThat(wrong.status()).isEqualTo(422);
        int last = disturbances(form).size() - 1;
        assertThat(wrong.at("disturbances[" + last + "].label")).contains("needs a name");
        assertThat(wrong.at("moves.TOE")).contains("measured twice");
        assertThat(graph().path("usual").asBoolean()).isTrue();
    }

    /** A job whose words say nothing is told what it disturbs; what is measured then goes stale as for any other. */
    @Test
    void aJobCarriesWhatItDisturbs() throws Exception {
        String car = find("cars", "number", "61").path("id").asText();
        call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "Rear end put right 1h, fit"));
        String job = "";
        for (JsonNode w : board().path("works")) {
            job = w.path("name").asText().startsWith("Rear end put right")
                    ? w.path("id").asText()
                    : job;
        }
        String url = "/api/works/" + job + "/disturbs";
        assertThat(call(BO, "GET", url, null).body().path("disturbances")).isEmpty();
        assertThat(call(BO, "PUT", url, Map.of("disturbances", List.of("strut-spacer")))
                        .status())
                .isEqualTo(403);
        assertThat(call(SEF, "PUT", url, Map.of("disturbances", List.of("strut-spacer")))
                        .status())
                .isEqualTo(204);
        JsonNode carried = call(BO, "GET", url, null).body();
        assertThat(carried.path("said").asBoolean()).isTrue();
        assertThat(carried.path("stale").toString()).contains("heights").contains("toe");
        assertThat(call(SEF, "PUT", url, Map.of("disturbances", List.of("moonlight")))
                        .at("disturbances"))
                .contains("not there any more");
        call(BO, "POST", "/api/works/" + job + "/done", null);
        JsonNode gate = find("cars", "number", "61").path("gates").path(0);
        assertThat(gate.path("stale").toString()).isEqualTo("[\"corner weights\",\"toe\"]");
        // "Toe and pressures" is open; nothing open measures the weights.
        assertThat(gate.path("unplanned").toString()).isEqualTo("[\"corner weights\"]");
        undo(BO, 1);
        undo(SEF, 1);
        assertThat(find("cars", "number", "61").path("gates").path(0).path("stale"))
                .isEmpty();
        undo(MARA, 1);
    }
}
