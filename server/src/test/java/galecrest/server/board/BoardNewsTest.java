package galecrest.server.board;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.core.time.DateStyle;
import galecrest.server.ServerTest;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
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
        ObjectNode after = news.get("changed").deepCopy();
        board.fields().forEachRemaining(field -> {
            if (field.getValue().isArray()) {
                after.set(
                        field.getKey(),
                        list(
                                field.getValue(),
                                after.get(field.getKey()),
                                news.get("lists").path(field.getKey())));
            }
        });
        return after;
    }

    private ArrayNode list(JsonNode before, JsonNode changed, JsonNode moved) {
        Map<String, JsonNode> different = new HashMap<>();
        changed.forEach(thing -> different.put(key(thing), thing));
        List<String> order = new ArrayList<>();
        before.forEach(thing -> {
            different.putIfAbsent(key(thing), thing);
            order.add(key(thing));
        });
        moved.path("gone").forEach(gone -> order.remove(gone.asText()));
        for (JsonNode came : moved.path("came")) {
            int at = came.has("after") ? order.indexOf(came.get("after").asText()) + 1 : 0;
            order.add(at, came.get("key").asText());
        }
        ArrayNode list = json.createArrayNode();
        order.forEach(key -> list.add(different.get(key)));
        return list;
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
        assertThat(news.at("/lists/pins/came")).hasSize(1);
        assertThat(news.get("lists")).hasSize(1);
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
        JsonNode came = news(before);
        assertThat(came.at("/lists/works/came")).hasSize(1);
        assertThat(came.at("/lists/works/gone")).isEmpty();
        assertThat(came.toString().length()).isLessThan(before.toString().length() / 2);
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

    /** Boards of long ago are remembered too: what all the changes since came to is told in one. */
    @Test
    void anOldEditionIsToldAllSinceAtOnce() throws Exception {
        JsonNode before = board();
        String car = find("cars", "number", "8").get("id").asText();
        for (int i = 0; i < 12; i++) {
            call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "check the belt " + i + ", 15m"));
            board();
        }
        leadsFrom(before);
        undo(MARA, 12);
        leadsFrom(before);
    }

    /** Many random lists: what came, went, changed places or changed is put in, and what did not is not sent. */
    @Test
    void anyListLeadsToAnyOther() {
        Random luck = new Random(20261201);
        for (int i = 0; i < 3000; i++) {
            Board before = stations(luck);
            Board after = stations(luck);
            BoardNews news = BoardNews.between(before, after);
            JsonNode put = list(
                    json.valueToTree(before.stations()),
                    json.valueToTree(news.changed().stations()),
                    json.valueToTree(news.lists()).path("stations"));
            assertThat(put).isEqualTo(json.valueToTree(after.stations()));
            assertThat(after.sharing(before)).isEqualTo(after);
            if (before.stations().equals(after.stations())) {
                assertThat(news.changed().stations()).isEmpty();
                assertThat(after.sharing(before).stations()).isSameAs(before.stations());
            }
        }
    }

    private static Board stations(Random luck) {
        List<Integer> ids = new ArrayList<>(IntStream.range(0, 7).boxed().toList());
        Collections.shuffle(ids, luck);
        List<Board.StationView> stations = ids.subList(0, luck.nextInt(8)).stream()
                .map(id -> new Board.StationView("s" + id, "", "", List.of(), luck.nextInt(2)))
                .toList();
        return new Board(
                "e",
                1,
                START,
                "UTC",
                DateStyle.USUAL,
                "",
                null,
                null,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                stations,
                List.of(),
                List.of(),
                List.of(),
                null);
    }
}
