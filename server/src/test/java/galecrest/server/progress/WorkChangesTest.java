package galecrest.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** Work that turns out otherwise: it takes longer, is done again, split, or done by somebody from outside. */
class WorkChangesTest extends WorkTest {
    @Test
    void needsMoreIsBelievedAndFinishedWorkOpensAgain() throws Exception {
        String car = car("8");
        String job = capture(car, "make a bracket, rear, 1 h");
        assertThat(call(BO, "POST", "/api/works/" + job + "/more", Map.of("minutes", 120))
                        .status())
                .isEqualTo(204);
        assertThat(work(job).path("job").path("likelyMinutes").asInt()).isEqualTo(180);
        assertThat(work(job).path("job").path("highMinutes").asInt())
                .as("raised alike")
                .isEqualTo(360);
        call(BO, "POST", "/api/works/" + job + "/start?anyway=true", null);
        call(BO, "POST", "/api/works/" + job + "/more", Map.of("minutes", 30));
        assertThat(work(job).path("job").path("remainingMinutes").asInt()).isEqualTo(30);
        assertThat(work(job).path("job").path("startedBy"))
                .as("whoever is on it stays on it")
                .hasSize(1);
        call(BO, "POST", "/api/works/" + job + "/done", null);
        call(MARA, "POST", "/api/works/" + job + "/more", Map.of("minutes", 45));
        assertThat(work(job).path("status").asText()).isEqualTo("STARTED");
        assertThat(work(job).path("job").path("remainingMinutes").asInt()).isEqualTo(45);
        assertThat(work(job).path("job").path("startedBy")).isEmpty();
        assertThat(call(BO, "POST", "/api/works/" + job + "/more", Map.of("minutes", 0))
                        .at("minutes"))
                .contains("1 min");
        undo(MARA, 1);
        undo(BO, 4);
        undo(MARA, 1);
    }

    /** Each round is a job of its own, before what came after the first. */
    @Test
    void reworkIsALoopOfWhichEachRoundCounts() throws Exception {
        String car = car("8");
        String recut = capture(car, "cut the shaft, on the bench, 2 h");
        String fit = capture(car, "fit the shaft, rear, 1 h");
        call(MARA, "POST", "/api/links", link(recut, fit));
        call(MARA, "POST", "/api/works/" + recut + "/done", null);
        Answer again = call(MARA, "POST", "/api/works/" + recut + "/again", Map.of("why", "2 mm short", "minutes", 60));
        String round = again.body().path("id").asText();
        assertThat(work(round).path("name").asText()).isEqualTo("Cut the shaft, round 2");
        assertThat(work(round).path("job").path("likelyMinutes").asInt()).isEqualTo(60);
        assertThat(work(round).path("note").asText()).isEqualTo("2 mm short");
        assertThat(StreamSupport.stream(board().get("links").spliterator(), false)
                        .filter(l -> l.get("firstId").asText().equals(round)))
                .as("it goes before what waits for it")
                .extracting(l -> l.get("thenId").asText())
                .containsExactly(fit);
        call(MARA, "POST", "/api/works/" + round + "/done", null);
        String third = call(MARA, "POST", "/api/works/" + round + "/again", Map.of("why", "still short"))
                .body()
                .path("id")
                .asText();
        assertThat(work(third).path("name").asText()).isEqualTo("Cut the shaft, round 3");
        JsonNode finished =
                call(MARA, "GET", "/api/builds/" + car + "/finished", null).body();
        assertThat(finished.get(0).path("name").asText()).isEqualTo("Cut the shaft, round 2");
        assertThat(finished.get(0).path("round").asInt()).isEqualTo(2);
        assertThat(call(MARA, "POST", "/api/works/" + third + "/again", Map.of("why", "x"))
                        .at("why"))
                .contains("not finished");
        undo(MARA, 7);
    }

    private static Map<String, Object> link(String first, String then) {
        Map<String, Object> link = new HashMap<>();
        link.put("firstId", first);
        link.put("thenId", then);
        link.put("type", "FINISH_START");
        link.put("lagMinutes", 0);
        link.put("lagWorking", false);
        return link;
    }

    @Test
    void aJobIsSplitAndASecondHandComesForAnHourOnly() throws Exception {
        String car = car("8");
        String job = capture(car, "hang the doors, 4 h");
        Answer split = call(
                MARA,
                "POST",
                "/api/works/" + job + "/split",
                Map.of("name", "Lift the doors on", "minutes", 60, "secondHand", true));
        String part = split.body().path("id").asText();
        assertThat(work(part).path("job").path("crew")).hasSize(2);
        assertThat(work(part).path("job").path("likelyMinutes").asInt()).isEqualTo(60);
        assertThat(work(job).path("job").path("crew")).hasSize(1);
        assertThat(work(job).path("job").path("likelyMinutes").asInt()).isEqualTo(180);
        assertThat(work(job).path("job").path("lowMinutes").asInt()
                        + work(part).path("job").path("lowMinutes").asInt())
                .as("as much as the whole")
                .isEqualTo(120);
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/works/" + job + "/split",
                                Map.of("name", "All of it", "minutes", 180, "secondHand", false))
                        .at("minutes"))
                .contains("1 min to 3 h");
        undo(MARA, 2);
    }

    /** The customer's man comes on a day of his, and nobody of ours does it sooner. */
    @Test
    void somebodyFromOutsideDoesAJobOnADayOfTheirs() throws Exception {
        String car = car("8");
        String job = capture(car, "wrap the bonnet, front, 3 h");
        String day = workday(2);
        Map<String, Object> form =
                Map.of("name", "Ola Wrap", "from", day + "T09:00:00Z", "to", day + "T14:00:00Z", "ourStation", false);
        assertThat(call(MARA, "POST", "/api/works/" + job + "/guest", form).status())
                .isEqualTo(204);
        JsonNode placed = work(job).path("placed");
        assertThat(placed.path("start").asText()).startsWith(day + "T09:00");
        assertThat(placed.path("crew").get(0).asText()).isEqualTo(person("Ola Wrap"));
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/works/" + job + "/guest",
                                Map.of(
                                        "name",
                                        "Ola Wrap",
                                        "from",
                                        day + "T09:00:00Z",
                                        "to",
                                        day + "T08:00:00Z",
                                        "ourStation",
                                        false))
                        .at("to"))
                .contains("same day");
        undo(MARA, 2);
        assertThat(board().get("people").toString()).doesNotContain("Ola Wrap");
    }
}
