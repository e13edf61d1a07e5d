package galecrest.server.together;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** Boards that are read while others write, and more people at work than there are connections. */
class BoardTogetherTest extends TogetherTest {
    private List<String> todo(int most) throws Exception {
        return StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("status").asText().equals("TODO"))
                .map(w -> w.path("id").asText())
                .limit(most)
                .toList();
    }

    /** With four connections: three pins, which plan while they hold one, beside two dozen edits and a dozen boards. */
    @Test
    void pinsEditsAndBoardsAreAllAnsweredThoughConnectionsAreFew() throws Exception {
        List<String> works = todo(3);
        String car = find("cars", "number", "8").path("id").asText();
        List<Callable<HttpResponse<String>>> requests = new ArrayList<>();
        Visitor mara = visitor("mara");
        for (int i = 0; i < 39; i++) {
            int number = i;
            if (i < 3) {
                Map<String, Object> pin =
                        Map.of("workId", works.get(i), "kind", "NOT_BEFORE", "at", at(3 + i, "09:00"));
                requests.add(() -> mara.send("POST", "/api/pins", pin));
            } else if (i < 27) {
                requests.add(() -> mara.send(
                        "POST", "/api/builds/" + car + "/capture", Map.of("text", "look at hose " + number + " 10m")));
            } else {
                requests.add(() -> mara.send("GET", "/api/board", null));
            }
        }
        for (HttpResponse<String> answer : together(requests)) {
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        }
    }

    /** Whatever is written meanwhile: what a board names is on it. */
    @Test
    void aBoardIsOfOneMoment() throws Exception {
        List<Visitor> readers = List.of(visitor("mara"), visitor("sef"), visitor("bo"));
        Visitor writer = visitor("mara");
        String car = find("cars", "number", "8").path("id").asText();
        List<Callable<Integer>> all = new ArrayList<>();
        all.add(() -> {
            for (int i = 0; i < 8; i++) {
                writer.send("POST", "/api/builds/" + car + "/capture", Map.of("text", "tie up cable " + i + " 10m"));
                writer.send("POST", "/api/undo", null);
            }
            return 0;
        });
        for (Visitor reader : readers) {
            all.add(() -> {
                int torn = 0;
                for (int i = 0; i < 20; i++) {
                    torn += torn(
                            json.readTree(reader.send("GET", "/api/board", null).body()));
                }
                return torn;
            });
        }
        assertThat(together(all)).containsOnly(0);
    }

    private static int torn(JsonNode board) {
        Set<String> works = ids(board.path("works"));
        Set<String> cars = ids(board.path("cars"));
        int torn = 0;
        for (JsonNode link : board.path("links")) {
            torn += works.contains(link.path("firstId").asText())
                            && works.contains(link.path("thenId").asText())
                    ? 0
                    : 1;
        }
        for (JsonNode work : board.path("works")) {
            torn += cars.contains(work.path("buildId").asText()) ? 0 : 1;
        }
        for (JsonNode date : board.path("commitments")) {
            for (JsonNode work : date.path("chain")) {
                torn += works.contains(work.asText()) ? 0 : 1;
            }
        }
        return torn;
    }

    private static Set<String> ids(JsonNode things) {
        Set<String> ids = new HashSet<>();
        things.forEach(t -> ids.add(t.path("id").asText()));
        return ids;
    }
}
