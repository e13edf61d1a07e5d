package galecrest.server.work;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** Tying jobs together and pinning them: the plan follows, says what moved, and comes back. */
class LinkAndPinTest extends ServerTest {
    private static Map<String, Object> link(String first, String then, int lag) {
        return Map.of("firstId", first, "thenId", then, "type", "FINISH_START", "lagMinutes", lag, "lagWorking", false);
    }

    private static Instant start(JsonNode work) {
        return Instant.parse(work.path("placed").path("start").asText());
    }

    private JsonNode work(String id) throws Exception {
        return find("works", "id", id);
    }

    /** Two jobs of a car that could be done in any order and are planned within the next days. */
    private List<JsonNode> untied() throws Exception {
        String car = find("cars", "number", "61").get("id").asText();
        for (String name : List.of("first of two", "second of two")) {
            call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", name + ", rear, 40m"));
        }
        return List.of(workOf("61", "First of two"), workOf("61", "Second of two"));
    }

    @Test
    void whatIsTiedWaitsWithItsLagAndIsFreeAgainAfterwards() throws Exception {
        List<JsonNode> two = untied();
        String first = two.get(0).get("id").asText();
        String then = two.get(1).get("id").asText();
        int day = (int) Duration.ofDays(1).toMinutes();
        Answer tied = call(MARA, "POST", "/api/links", link(first, then, day));
        assertThat(tied.status()).isEqualTo(200);
        Instant ready = Instant.parse(work(first).path("placed").path("ready").asText());
        assertThat(start(work(then))).isAfterOrEqualTo(ready.plus(Duration.ofDays(1)));
        String id = StreamSupport.stream(board().path("links").spliterator(), false)
                .filter(l -> l.get("firstId").asText().equals(first)
                        && l.get("thenId").asText().equals(then))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asText();
        assertThat(call(MARA, "DELETE", "/api/links/" + id, null).status()).isEqualTo(204);
        assertThat(call(MARA, "DELETE", "/api/links/" + id, null).status()).isEqualTo(404);
        assertThat(start(work(then))).isEqualTo(start(two.get(1)));
        undo(MARA, 4);
    }

    @Test
    void aTieThatCannotBeIsRefusedAtItsField() throws Exception {
        List<JsonNode> two = untied();
        String first = two.get(0).get("id").asText();
        String then = two.get(1).get("id").asText();
        String before = record();
        assertThat(call(MARA, "POST", "/api/links", link(first, then, -5)).at("lagMinutes"))
                .contains("60 days");
        assertThat(call(MARA, "POST", "/api/links", link(first, then, 61 * 24 * 60))
                        .at("lagMinutes"))
                .contains("60 days");
        assertThat(call(MARA, "POST", "/api/links", link(first, first, 0)).at("firstId"))
                .contains("wait for itself");
        Map<String, Object> risky = new HashMap<>(link(first, then, 0));
        risky.put("riskChance", 1.5);
        assertThat(call(MARA, "POST", "/api/links", risky).at("riskChance")).contains("between 0 and 1");
        assertThat(call(MARA, "POST", "/api/links", link("nothing", then, 0)).status())
                .isEqualTo(404);
        assertThat(call(BO, "POST", "/api/links", link(first, then, 0)).status())
                .isEqualTo(403);
        assertThat(record()).isEqualTo(before);
        undo(MARA, 2);
    }

    /** A pin is a draft: it moves the plan and is told by person and by car, and both are as before without it. */
    @Test
    void aPinMovesADraftThatIsToldInWords() throws Exception {
        JsonNode moved = call(MARA, "GET", "/api/plan/moved", null).body().path("byCar");
        JsonNode job = StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("kind").asText().equals("JOB")
                        && w.path("status").asText().equals("TODO")
                        && w.path("placed")
                                .path("because")
                                .path("kind")
                                .asText()
                                .isEmpty()
                        && w.has("placed")
                        && start(w).isAfter(Instant.parse(at(2, "00:00")))
                        && start(w).isBefore(Instant.parse(at(6, "00:00"))))
                .findFirst()
                .orElseThrow();
        String id = job.get("id").asText();
        Instant later = start(job).plus(Duration.ofDays(14));
        Answer pinned =
                call(MARA, "POST", "/api/pins", Map.of("workId", id, "kind", "NOT_BEFORE", "at", later.toString()));
        assertThat(pinned.status()).isEqualTo(200);
        assertThat(start(work(id))).isAfterOrEqualTo(later);
        JsonNode draft = call(MARA, "GET", "/api/plan/moved", null).body();
        String car =
                find("cars", "id", job.get("buildId").asText()).get("number").asText();
        assertThat(draft.path("byCar").findValuesAsText("name")).anyMatch(name -> name.startsWith(car + " "));
        assertThat(draft.path("byCar").toString()).contains(job.get("name").asText());
        assertThat(draft.path("byPerson")).isNotEmpty();
        assertThat(draft.path("byPerson").toString()).contains(job.get("name").asText());
        JsonNode pin = find("pins", "workId", id);
        assertThat(call(MARA, "DELETE", "/api/pins/" + pin.get("id").asText(), null)
                        .status())
                .isEqualTo(204);
        assertThat(start(work(id))).isEqualTo(start(job));
        assertThat(call(MARA, "GET", "/api/plan/moved", null).body().path("byCar"))
                .isEqualTo(moved);
        undo(MARA, 2);
    }

    @Test
    void aPinSaysWhatItNeeds() throws Exception {
        String id = untied().get(0).get("id").asText();
        String before = record();
        for (Map.Entry<String, String> kind : Map.of(
                        "PERSON", "personId",
                        "STATION", "stationId",
                        "AFTER", "firstId",
                        "NOT_BEFORE", "at",
                        "EXACTLY", "at")
                .entrySet()) {
            Answer answer = call(MARA, "POST", "/api/pins", Map.of("workId", id, "kind", kind.getKey()));
            assertThat(answer.at(kind.getValue())).as(kind.getKey()).contains("needs it");
        }
        assertThat(call(SEF, "POST", "/api/pins", Map.of("workId", id, "kind", "PERSON", "personId", "bo"))
                        .status())
                .isEqualTo(403);
        assertThat(record()).isEqualTo(before);
        undo(MARA, 2);
    }
}
