package galecrest.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** A job held for a part: the part is on the Desk, and the hold ends once it is here. */
class HoldForPartTest extends WorkTest {
    /** A hold for a part that nobody has listed is a line on the Desk with no date, and over once the part is here. */
    @Test
    void aHoldForAPartIsALineOnTheDesk() throws Exception {
        String car = car("8");
        String job = capture(car, "hang the doors, 4 h");
        String others = StreamSupport.stream(board().get("parts").spliterator(), false)
                .filter(p -> !p.get("buildId").asText().equals(car))
                .map(p -> p.get("id").asText())
                .findFirst()
                .orElseThrow();
        Map<String, String> foreign = Map.of("reason", "PART", "note", "x", "partId", others);
        assertThat(call(BO, "POST", "/api/works/" + job + "/hold", foreign).at("partId"))
                .contains("no part of this car");
        capture(car, "hang the doors, held for the check strap");
        JsonNode part = find("parts", "name", "Check strap");
        assertThat(part.path("state").asText()).isEqualTo("WANTED");
        assertThat(part.has("arrivalLikely") && !part.get("arrivalLikely").isNull())
                .isFalse();
        JsonNode held = work(job).path("hold");
        assertThat(held.path("partId").asText()).isEqualTo(part.get("id").asText());
        JsonNode desk = call(MARA, "GET", "/api/desk", null).body().get("lines");
        JsonNode line = StreamSupport.stream(desk.spliterator(), false)
                .filter(l -> l.path("name").asText().equals("Check strap"))
                .findFirst()
                .orElseThrow();
        assertThat(line.path("expected").isMissingNode()
                        || line.path("expected").isNull())
                .isTrue();
        assertThat(StreamSupport.stream(desk.spliterator(), false).limit(4).map(l -> l.path("name")
                        .asText()))
                .as("chased among the first")
                .contains("Check strap");
        String id = part.get("id").asText();
        accepted(car, id, job, "ARRIVED", 0);
        assertThat(work(job).path("hold").path("note").asText())
                .as("not looked over yet")
                .isEqualTo("check strap");
        accepted(
                car,
                id,
                job,
                "ACCEPTED",
                find("parts", "id", id).path("version").asInt());
        assertThat(work(job).has("hold") && !work(job).get("hold").isNull()).isFalse();
        undo(MARA, 4);
        assertThat(board().get("parts").toString()).doesNotContain("Check strap");
    }

    /** The customer brings the part. */
    private void accepted(String car, String part, String job, String state, int version) throws Exception {
        Map<String, Object> form = new HashMap<>(Map.of(
                "buildId",
                car,
                "name",
                "Check strap",
                "state",
                state,
                "inspectionMinutes",
                0,
                "neededBy",
                List.of(job),
                "quantity",
                1,
                "own",
                true,
                "version",
                version));
        form.putAll(Map.of("specification", "", "kit", "", "tracking", ""));
        Answer answer = call(MARA, "PUT", "/api/parts/" + part, form);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(204);
    }
}
