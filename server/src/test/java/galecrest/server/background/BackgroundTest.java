package galecrest.server.background;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;

/** Long thinking over HTTP: odds after a change, rescue tried and dropped, harder search stopped, work left by the dead. */
@TestPropertySource(properties = "galecrest.live=true")
@DirtiesContext
class BackgroundTest extends ServerTest {

    @Autowired
    private JdbcClient db;

    private JsonNode thought(String id) throws Exception {
        return StreamSupport.stream(
                        call(MARA, "GET", "/api/thoughts", null).body().spliterator(), false)
                .filter(t -> t.path("id").asText().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private void awaitOdds() throws Exception {
        long change = board().path("change").asLong();
        await(() ->
                call(MARA, "GET", "/api/odds", null).body().at("/odds/change").asLong(-1) >= change);
    }

    private JsonNode oddsOf(String commitment) throws Exception {
        awaitOdds();
        return StreamSupport.stream(
                        call(MARA, "GET", "/api/odds", null)
                                .body()
                                .path("odds")
                                .path("odds")
                                .spliterator(),
                        false)
                .filter(o -> o.path("commitmentId").asText().equals(commitment))
                .findFirst()
                .orElseThrow();
    }

    /** What is taken back afterwards is this test's own, not what tests before it have put right again. */
    @BeforeEach
    void aSessionOfItsOwn() throws Exception {
        signIn(MARA);
    }

    @AfterEach
    void asBefore() throws Exception {
        while (call(MARA, "POST", "/api/undo", null).status() == 200) {
            // until nothing of this session is left
        }
    }

    @Test
    void theOddsAreReckonedAnewAfterAChange() throws Exception {
        String date = find("commitments", "name", "Four hours of Crane Moor")
                .path("id")
                .asText();
        JsonNode before = oddsOf(date);
        assertThat(before.path("spread")).hasSize(21);
        // The luck of each thing hangs on its id, which is another in every shop: which of the strongest is first
        // differs.
        assertThat(StreamSupport.stream(before.path("drivers").spliterator(), false)
                        .limit(3)
                        .map(d -> d.path("said").asText()))
                .anyMatch(said -> said.contains("coated exhaust flange"));
        long change = board().path("change").asLong();
        String car = find("cars", "number", "8").path("id").asText();
        call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "weld a bracket, front, 3h"));
        assertThat(board().path("change").asLong()).isGreaterThan(change);
        awaitOdds();
    }

    /** Odds that failed, or that were stopped, are asked for again though nothing has changed since. */
    @Test
    void oddsThatFailedAreTriedAgain() throws Exception {
        awaitOdds();
        for (String state : List.of("FAILED", "STOPPED")) {
            long change = board().path("change").asLong();
            db.sql("update analysis set state = :state, result = null where kind = 'CHANCE' and change_id = :change")
                    .param("state", state)
                    .param("change", change)
                    .update();
            await(() -> db.sql("select state from analysis where kind = 'CHANCE' and change_id = :change")
                    .param("change", change)
                    .query(String.class)
                    .single()
                    .equals("DONE"));
        }
    }

    @Test
    void aNewBuildIsPromisedWithoutATraceOfIt() throws Exception {
        String before = record();
        String id = call(MARA, "POST", "/api/thoughts/promise", Map.of("template", "nut-and-bolt-week"))
                .body()
                .path("id")
                .asText();
        await(() -> thought(id).path("state").asText().equals("DONE"));
        JsonNode promise = thought(id).path("promise");
        Instant half = Instant.parse(promise.path("p50").asText());
        Instant four = Instant.parse(promise.path("p80").asText());
        assertThat(half).isAfter(Instant.parse(board().path("now").asText())).isBeforeOrEqualTo(four);
        assertThat(four).isBeforeOrEqualTo(Instant.parse(promise.path("p95").asText()));
        assertThat(record()).isEqualTo(before);
        assertThat(call(MARA, "POST", "/api/thoughts/promise", Map.of("template", "moon rocket"))
                        .status())
                .isEqualTo(422);
        assertThat(call(SEF, "POST", "/api/thoughts/promise", Map.of("template", "rewire"))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void aRescueIsTriedAndDropped() throws Exception {
        String date = find("commitments", "name", "Four hours of Crane Moor")
                .path("id")
                .asText();
        String before = record();
        long late = find("commitments", "id", date).path("marginMinutes").asLong();
        assertThat(late).isNegative();
        String id = call(MARA, "POST", "/api/thoughts/rescue", Map.of("commitmentId", date))
                .body()
                .path("id")
                .asText();
        await(() -> thought(id).path("state").asText().equals("DONE"));
        JsonNode tried = thought(id).path("rescue").path("tried");
        TreeSet<String> kinds = new TreeSet<>();
        tried.forEach(t -> t.path("kinds").forEach(k -> kinds.add(k.asText())));
        assertThat(kinds).as("different kinds of move").hasSizeGreaterThanOrEqualTo(4);
        for (int i = 0; i < tried.size(); i++) {
            Answer taken = call(MARA, "POST", "/api/thoughts/" + id + "/try", Map.of("index", i));
            assertThat(taken.status())
                    .as(tried.get(i).path("words") + ": " + taken.body())
                    .isEqualTo(204);
            assertThat(record()).isNotEqualTo(before);
            Answer dropped = call(MARA, "POST", "/api/plan/discard", null);
            assertThat(dropped.status()).as(dropped.body().toString()).isEqualTo(204);
            assertThat(record()).as("dropped: " + tried.get(i).path("words")).isEqualTo(before);
        }
        int swap = IntStream.range(0, tried.size())
                .filter(i -> tried.get(i).path("kinds").toString().equals("[\"SwapEvent\"]"))
                .findFirst()
                .orElseThrow();
        call(MARA, "DELETE", "/api/commitments/" + date, null);
        String without = record();
        Answer gone = call(MARA, "POST", "/api/thoughts/" + id + "/try", Map.of("index", swap));
        assertThat(gone.status()).as("the date is gone").isEqualTo(422);
        assertThat(gone.at("index")).contains("try everything again");
        assertThat(record()).isEqualTo(without);
        undo(MARA, 1);
    }

    @Test
    void handsSeeAChangeOnlyWhenItIsPublished() throws Exception {
        call(BO, "POST", "/api/my-day/looked", null);
        JsonNode day = call(BO, "GET", "/api/my-day", null).body();
        assertThat(day.path("changes")).isEmpty();
        JsonNode next = day.path("next").get(day.path("next").size() - 1);
        JsonNode seen = workSeenByBo(next.asText());
        call(MARA, "POST", "/api/pins", Map.of("workId", next.asText(), "kind", "NOT_BEFORE", "at", at(15, "08:00")));
        assertThat(workSeenByBo(next.asText()).path("placed").path("start"))
                .isEqualTo(seen.path("placed").path("start"));
        assertThat(call(MARA, "POST", "/api/plan/publish", null).status()).isEqualTo(204);
        assertThat(workSeenByBo(next.asText()).path("placed").path("start").asText())
                .isGreaterThanOrEqualTo(at(15, "08:00").substring(0, 16));
        JsonNode changes = call(BO, "GET", "/api/my-day", null).body().path("changes");
        assertThat(StreamSupport.stream(changes.spliterator(), false)
                        .map(c -> c.path("workId").asText()))
                .contains(next.asText());
        call(BO, "POST", "/api/my-day/looked", null);
        assertThat(call(BO, "GET", "/api/my-day", null).body().path("changes")).isEmpty();
    }

    private JsonNode workSeenByBo(String id) throws Exception {
        return StreamSupport.stream(
                        call(BO, "GET", "/api/board", null).body().path("works").spliterator(), false)
                .filter(w -> w.path("id").asText().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void harderThinkingIsStoppedLongBeforeItsTime() throws Exception {
        String id = call(MARA, "POST", "/api/thoughts/harder", Map.of("seconds", 300))
                .body()
                .path("id")
                .asText();
        await(() -> thought(id).path("harder").path("steps").asLong() > 0);
        assertThat(call(MARA, "POST", "/api/thoughts/" + id + "/stop", null).status())
                .isEqualTo(204);
        await(() -> thought(id).path("state").asText().equals("DONE"));
    }

    @Test
    void whatASilentInstanceLeftIsTakenOver() throws Exception {
        String date =
                find("commitments", "name", "Rolling road session").path("id").asText();
        String left = "left" + System.nanoTime();
        db.sql("""
                        insert into analysis (id, kind, subject, change_id, asked_by, asked_at, state, worker)
                        values (:id, 'RESCUE', :date, 1, 'Mara', :now, 'RUNNING', 'the dead')""")
                .param("id", left)
                .param("date", date)
                .param("now", java.sql.Timestamp.from(START))
                .update();
        await(() -> thought(left).path("state").asText().equals("DONE"));
        assertThat(thought(left).path("rescue").path("done").asInt()).isPositive();
    }

    @Test
    void badQuestionsAreRefused() throws Exception {
        assertThat(call(MARA, "POST", "/api/thoughts/harder", Map.of("seconds", 0))
                        .at("seconds"))
                .contains("Between 1");
        assertThat(call(MARA, "POST", "/api/thoughts/rescue", Map.of("commitmentId", "none"))
                        .status())
                .isEqualTo(404);
        assertThat(call(MARA, "POST", "/api/thoughts/none/try", Map.of("index", 0))
                        .status())
                .isEqualTo(404);
        assertThat(call(SEF, "POST", "/api/thoughts/harder", Map.of("seconds", 5))
                        .status())
                .isEqualTo(403);
        assertThat(call(BO, "POST", "/api/plan/discard", null).status()).isEqualTo(403);
    }
}
