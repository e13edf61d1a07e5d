package galecrest.server.board;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a screen makes of the news is the board that one without any would fetch. */
class BoardNewsTest extends ServerTest {
    private JsonNode news(JsonNode board) throws Exception {
        Answer answer = call(
                MARA, "GET", "/api/board/news?since=" + board.get("edition").asText(), null);
        assertThat(answer.status()).isEqualTo(200);
        return answer.body();
    }

    private static String key(JsonNode thing) {
        return thing.has("id")
                ? thing.get("id").asText()
                : thing.path("personId").asText() + " "
                        + thing.path("stationId").asText() + " " + thing.get("day");
    }

    /** The board with the news put in, by the rule that {@link BoardNews} states. */
    private JsonNode with(JsonNode board, JsonNode news) {
        Set<String> complete = new HashSet<>();
        news.get("complete").forEach(name -> complete.add(name.asText()));
        ObjectNode after = news.get("changed").deepCopy();
        board.fields().forEachRemaining(field -> {
            if (field.getValue().isArray() && !complete.contains(field.getKey())) {
                Map<String, JsonNode> different = new HashMap<>();
                after.get(field.getKey()).forEach(thing -> different.put(key(thing), thing));
                ArrayNode list = json.createArrayNode();
                field.getValue().forEach(thing -> list.add(different.getOrDefault(key(thing), thing)));
                after.set(field.getKey(), list);
            }
        });
        return after;
    }

    private void leadsFrom(JsonNode before) throws Exception {
        JsonNode after = board();
        JsonNode news = news(before);
        if (!news.at("/changed/edition").equals(after.get("edition"))) {
            // The five minutes of the plan were over in between.
            after = board();
            news = news(before);
        }
        assertThat(with(before, news)).isEqualTo(after);
    }

    @Test
    void anEditIsNewsOfWhatItMovedAndNoMore() throws Exception {
        String car = find("cars", "number", "61").get("id").asText();
        call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "check the hubs, front, 15m"));
        JsonNode before = board();
        String work = workOf("61", "Check the hubs").get("id").asText();
        Map<String, Object> pin = Map.of("workId", work, "kind", "NOT_BEFORE", "at", at(6, "09:00"));
        assertThat(call(MARA, "POST", "/api/pins", pin).status()).isEqualTo(200);
        JsonNode news = news(before);
        assertThat(news.has("whole")).isFalse();
        assertThat(news.get("complete").toString()).isEqualTo("[\"pins\"]");
        assertThat(news.at("/changed/works").toString()).contains(work);
        assertThat(news.at("/changed/works").size())
                .isLessThan(before.get("works").size());
        assertThat(news.at("/changed/stations")).isEmpty();
        leadsFrom(before);
        JsonNode pinned = board();
        assertThat(call(MARA, "POST", "/api/undo", null).status()).isEqualTo(200);
        leadsFrom(pinned);
        leadsFrom(before);
        call(MARA, "POST", "/api/undo", null);
    }

    @Test
    void whatIsAddedOrGoesIsInIt() throws Exception {
        JsonNode before = board();
        String car = find("cars", "number", "8").get("id").asText();
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/builds/" + car + "/capture",
                                Map.of("text", "check the belts, cockpit, 15m"))
                        .status())
                .isEqualTo(200);
        leadsFrom(before);
        JsonNode added = board();
        assertThat(news(before).get("complete").toString()).contains("works");
        call(MARA, "POST", "/api/undo", null);
        leadsFrom(added);
    }

    @Test
    void nothingIsNewsWhereNothingHappened() throws Exception {
        JsonNode before = board();
        JsonNode news = news(before);
        for (String list : List.of("cars", "works", "links", "parts", "pins", "loads")) {
            assertThat(news.at("/changed/" + list)).as(list).isEmpty();
        }
    }

    @Test
    void whoeverHasAForgottenBoardGetsAllOfIt() throws Exception {
        JsonNode news = call(MARA, "GET", "/api/board/news?since=longago", null).body();
        assertThat(news.get("whole")).isEqualTo(board());
        assertThat(news.has("changed")).isFalse();
    }

    /** A hand who asks with the manager's edition, as after another sign-in, is told no more than hands are. */
    @Test
    void aHandHearsOnlyWhatHandsAreTold() throws Exception {
        JsonNode managers = board();
        JsonNode news = call(
                        BO,
                        "GET",
                        "/api/board/news?since=" + managers.get("edition").asText(),
                        null)
                .body();
        assertThat(with(managers, news))
                .isEqualTo(call(BO, "GET", "/api/board", null).body());
    }
}
