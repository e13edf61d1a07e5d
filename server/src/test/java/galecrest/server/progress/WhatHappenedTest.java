package galecrest.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** What really happened: yesterday's hours, what takes longer, what was done before, rework, and what is split. */
class WhatHappenedTest extends ServerTest {
    private String car(String number) throws Exception {
        return find("cars", "number", number).get("id").asText();
    }

    private String capture(String car, String text, String... chosen) throws Exception {
        Answer answer =
                call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", text, "chosen", List.of(chosen)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("workId").asText();
    }

    private JsonNode work(String id) throws Exception {
        return find("works", "id", id);
    }

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

    private String person(String name) throws Exception {
        return find("people", "name", name).get("id").asText();
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

    @Test
    void theLineSaysWhatItUnderstoodAndAsksWithoutWriting() throws Exception {
        String car = car("8");
        long before = board().get("change").asLong();
        String understand = "/api/builds/" + car + "/capture/understand";
        JsonNode clear = call(MARA, "POST", understand, Map.of("text", "hang bias cable, cockpit, 4 h 30, two hands"))
                .body();
        assertThat(clear.path("said").asText()).isEqualTo("New job: Hang bias cable; cockpit; 4½ h; 2 hands.");
        assertThat(clear.path("clear").asBoolean()).isTrue();
        JsonNode asks = call(MARA, "POST", understand, Map.of("text", "held for the gizmo"))
                .body();
        assertThat(asks.path("clear").asBoolean())
                .isEqualTo(asks.path("choices").isEmpty());
        assertThat(call(BO, "POST", understand, Map.of("text", "fuel smell"))
                        .body()
                        .path("said")
                        .asText())
                .as("what a hand writes is a finding")
                .startsWith("Found:");
        assertThat(board().get("change").asLong()).isEqualTo(before);
    }
}
