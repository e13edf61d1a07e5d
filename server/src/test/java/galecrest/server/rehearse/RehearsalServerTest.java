package galecrest.server.rehearse;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** A week is played through on a copy: turn by turn, decided, compared at the end, and nothing of it in the record. */
class RehearsalServerTest extends ServerTest {
    private JsonNode play(String id, int turn, List<String> choices) throws Exception {
        Answer answer = call(MARA, "POST", "/api/rehearsals/" + id + "/play", Map.of("turn", turn, "choices", choices));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    @Test
    void aDayIsPlayedThroughAndComparedAndTheRecordIsAsItWas() throws Exception {
        long change = board().get("change").asLong();
        Answer begun = call(MARA, "POST", "/api/rehearsals", Map.of("days", 1, "weather", "ROUGH", "seed", 5));
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
        String id = begun.body().get("id").asText();
        JsonNode first = call(MARA, "GET", "/api/rehearsals/" + id, null).body();
        assertThat(first.get("turn").asInt()).isZero();
        assertThat(first.get("turns").asInt()).isEqualTo(2);
        assertThat(first.get("choices"))
                .as("a car is late, so there is something to decide")
                .isNotEmpty();
        String chosen = first.get("choices").get(0).get("id").asText();

        JsonNode noon = play(id, 0, List.of(chosen));
        assertThat(noon.get("turn").asInt()).isEqualTo(1);
        assertThat(noon.get("decisions")).hasSize(1);
        assertThat(noon.get("now").asText()).isGreaterThan(first.get("now").asText());
        assertThat(call(MARA, "POST", "/api/rehearsals/" + id + "/play", Map.of("turn", 0, "choices", List.of()))
                        .status())
                .as("a second thumb on the same turn")
                .isEqualTo(409);
        assertThat(call(MARA, "POST", "/api/rehearsals/" + id + "/play", Map.of("turn", 1, "choices", List.of("x")))
                        .at("choices"))
                .contains("cannot be decided");
        play(id, 1, List.of());
        await(() -> call(MARA, "GET", "/api/rehearsals/" + id, null).body().hasNonNull("end"));
        JsonNode end = call(MARA, "GET", "/api/rehearsals/" + id, null).body().get("end");
        assertThat(end.get("costs")).hasSize(1);
        assertThat(end.get("yours").asDouble()
                        - end.get("costs").get(0).get("hours").asDouble())
                .as("without its only decision the week is the idle one")
                .isEqualTo(end.get("idle").asDouble());
        assertThat(StreamSupport.stream(end.get("dates").spliterator(), false).count())
                .isEqualTo(board().get("commitments").size());
        assertThat(call(SEF, "GET", "/api/rehearsals/" + id, null).status())
                .as("it is Mara's")
                .isEqualTo(404);
        assertThat(board().get("change").asLong()).isEqualTo(change);
    }

    @Test
    void whatCannotBeRehearsedIsRefused() throws Exception {
        assertThat(call(MARA, "POST", "/api/rehearsals", Map.of("days", 11, "weather", "CALM"))
                        .at("days"))
                .contains("1 to 10 days");
        assertThat(call(BO, "POST", "/api/rehearsals", Map.of("days", 1, "weather", "CALM"))
                        .status())
                .isEqualTo(403);
    }
}
