package galecrest.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.access.Account;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** Yesterday, caught up: hours count once, for whom did them, when they were worked. */
class CatchUpTest extends WorkTest {
    private static Map<String, Object> line(String work, List<String> people, int minutes, boolean done) {
        return Map.of("workId", work, "people", people, "minutes", minutes, "done", done);
    }

    private int catchUp(Account who, String day, Object... lines) throws Exception {
        return call(who, "POST", "/api/catch-up", Map.of("day", day, "lines", List.of(lines)))
                .status();
    }

    private JsonNode day(Account who, String day) throws Exception {
        return call(who, "GET", "/api/catch-up?day=" + day, null).body();
    }

    private static int written(JsonNode day, String person, String work) {
        return StreamSupport.stream(day.get("people").spliterator(), false)
                .filter(p -> p.get("personId").asText().equals(person))
                .flatMap(p -> StreamSupport.stream(p.get("written").spliterator(), false))
                .filter(w -> w.get("workId").asText().equals(work))
                .mapToInt(w -> w.get("minutes").asInt())
                .sum();
    }

    private BigDecimal spentHours(String car) throws Exception {
        return StreamSupport.stream(
                        call(MARA, "GET", "/api/ledger", null)
                                .body()
                                .get("builds")
                                .spliterator(),
                        false)
                .filter(b -> b.get("buildId").asText().equals(car))
                .map(b -> b.get("hoursWorked").decimalValue())
                .findFirst()
                .orElseThrow();
    }

    /** The hours of a day are credited once to whom did it, at the time it happened, and shorten what is left. */
    @Test
    void yesterdayIsCaughtUp() throws Exception {
        String car = car("8");
        String bo = person("Bo");
        String kit = person("Kit");
        String first = capture(car, "make a bracket, rear, 3 h");
        String second = capture(car, "paint the bracket, on the bench, 1 h");
        String yesterday =
                call(MARA, "GET", "/api/catch-up", null).body().get("day").asText();
        BigDecimal before = spentHours(car);

        assertThat(catchUp(
                        MARA, yesterday, line(first, List.of(bo, kit), 60, false), line(second, List.of(bo), 45, true)))
                .isEqualTo(204);

        JsonNode day = day(MARA, yesterday);
        assertThat(written(day, bo, first)).isEqualTo(60);
        assertThat(written(day, kit, first)).isEqualTo(60);
        assertThat(written(day, bo, second)).isEqualTo(45);
        assertThat(work(first).path("job").path("remainingMinutes").asInt())
                .as("two people, an hour each")
                .isEqualTo(60);
        assertThat(work(second).path("status").asText()).isEqualTo("DONE");
        assertThat(work(second).path("doneAt").asText()).startsWith(yesterday);
        assertThat(spentHours(car).subtract(before)).isEqualByComparingTo("2.75");

        assertThat(catchUp(MARA, yesterday, line(first, List.of(bo), 60, false)))
                .as("the same once more")
                .isEqualTo(204);
        assertThat(written(day(MARA, yesterday), bo, first)).isEqualTo(60);
        assertThat(day(BO, yesterday).get("people")).as("a hand sees its own").hasSize(1);
        undo(MARA, 3);
        assertThat(spentHours(car)).isEqualByComparingTo(before);
    }

    @Test
    void whatCannotHaveBeenIsRefusedAndNothingIsWritten() throws Exception {
        String car = car("8");
        String bo = person("Bo");
        String job = capture(car, "make a bracket, rear, 3 h");
        String yesterday =
                call(MARA, "GET", "/api/catch-up", null).body().get("day").asText();
        Answer tooLong = call(
                MARA,
                "POST",
                "/api/catch-up",
                Map.of(
                        "day",
                        yesterday,
                        "lines",
                        List.of(line(job, List.of(bo), 60, false), line(job, List.of(bo), 5000, false))));
        assertThat(tooLong.at("lines.1")).contains("1 min to 16 h");
        assertThat(written(day(MARA, yesterday), bo, job)).as("all or none").isZero();
        assertThat(catchUp(BO, yesterday, line(job, List.of(person("Kit")), 60, false)))
                .as("the hours of another")
                .isEqualTo(422);
        assertThat(catchUp(MARA, "2999-01-01", line(job, List.of(bo), 60, false)))
                .isEqualTo(422);
        assertThat(catchUp(
                        MARA,
                        yesterday,
                        line(job, List.of(bo), 600, false),
                        line(capture(car, "file the bracket"), List.of(bo), 500, false)))
                .as("more than sixteen hours a day")
                .isEqualTo(422);
        call(BO, "POST", "/api/works/" + job + "/start?anyway=true", null);
        assertThat(call(BO, "POST", "/api/works/" + job + "/start", null).at("start"))
                .as("his clock runs")
                .contains("already");
        undo(BO, 1);
        undo(MARA, 2);
    }

    /** Two thumbs on the same button. */
    @Test
    void theSameSentAtOnceCountsOnce() throws Exception {
        String car = car("8");
        String bo = person("Bo");
        String job = capture(car, "make a bracket, rear, 3 h");
        String yesterday =
                call(MARA, "GET", "/api/catch-up", null).body().get("day").asText();
        session(MARA);
        Callable<Integer> send = () -> catchUp(MARA, yesterday, line(job, List.of(bo), 60, false));
        var pool = Executors.newFixedThreadPool(4);
        try {
            for (Future<Integer> sent :
                    pool.invokeAll(Stream.generate(() -> send).limit(4).toList())) {
                assertThat(sent.get()).isEqualTo(204);
            }
        } finally {
            pool.shutdown();
        }
        assertThat(written(day(MARA, yesterday), bo, job)).isEqualTo(60);
        assertThat(work(job).path("job").path("remainingMinutes").asInt()).isEqualTo(120);
        undo(MARA, 2);
    }

    @Test
    void whatWasDoneBeforeCostsNothing() throws Exception {
        String car = car("8");
        String one = capture(car, "seam weld the shell, 8 h");
        String two = capture(car, "blast the shell, 8 h");
        BigDecimal before = spentHours(car);
        assertThat(call(MARA, "POST", "/api/works/done-before", Map.of("workIds", List.of(one, two)))
                        .status())
                .isEqualTo(204);
        assertThat(work(one).path("doneBefore").asBoolean()).isTrue();
        assertThat(spentHours(car)).isEqualByComparingTo(before);
        undo(MARA, 1);
        assertThat(work(two).path("status").asText()).isEqualTo("TODO");
        call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "blast the shell, took 1 h, Bo, done"));
        undo(MARA, 3);
    }
}
