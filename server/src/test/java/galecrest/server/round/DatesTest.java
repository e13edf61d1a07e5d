package galecrest.server.round;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two nights on one car with a round between; a slot booked once; a car parked and taken back. */
class DatesTest extends ServerTest {
    private long before;

    @BeforeEach
    void aSessionOfItsOwn() throws Exception {
        signIn(MARA);
        before = board().path("change").asLong();
    }

    @AfterEach
    void asItWas() throws Exception {
        while (board().path("change").asLong() > before
                && call(MARA, "POST", "/api/undo", null).status() == 200) {
            // Takes back what this session did, the newest first.
        }
    }

    private static Map<String, Object> map(Object... pairs) {
        Map<String, Object> map = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            map.put((String) pairs[i], pairs[i + 1]);
        }
        return map;
    }

    private String date(String car, String name, int day) throws Exception {
        Answer added = call(
                MARA,
                "POST",
                "/api/commitments",
                map(
                        "buildId",
                        car,
                        "name",
                        name,
                        "kind",
                        "EVENT",
                        "due",
                        at(day, "16:00"),
                        "gate",
                        "EVENT",
                        "weight",
                        1,
                        "version",
                        0));
        assertThat(added.status()).as(added.body().toString()).isEqualTo(200);
        return added.body().path("id").asText();
    }

    private long margin(String date) throws Exception {
        return find("commitments", "id", date).path("marginMinutes").asLong();
    }

    private List<JsonNode> worksOf(String car) throws Exception {
        return StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("buildId").asText().equals(car))
                .toList();
    }

    @Test
    void aRoundForTheSecondNightMakesTheFirstNoLater() throws Exception {
        String car = find("cars", "number", "8").path("id").asText();
        String one = date(car, "Night one", 40);
        String two = date(car, "Night two", 47);
        long alone = margin(one);
        Answer laid = call(
                MARA,
                "POST",
                "/api/builds/" + car + "/rounds",
                map(
                        "name",
                        "Between the nights",
                        "dateId",
                        two,
                        "afterId",
                        one,
                        "template",
                        "nut-and-bolt-week",
                        "version",
                        0));
        assertThat(laid.status()).as(laid.body().toString()).isEqualTo(200);
        String round = laid.body().path("id").asText();
        List<JsonNode> its = worksOf(car).stream()
                .filter(w -> w.path("roundId").asText().equals(round))
                .toList();
        assertThat(its).hasSize(14);
        assertThat(its).allMatch(w -> w.at("/placed/start").asText().compareTo(at(40, "16:00")) >= 0);
        assertThat(margin(one)).isEqualTo(alone);
        assertThat(find("commitments", "id", two).path("finish").asText()).isGreaterThan(at(40, "16:00"));

        // A second round of the same list does not merge with the first.
        Answer again = call(
                MARA,
                "POST",
                "/api/builds/" + car + "/rounds",
                map("name", "After the nights", "afterId", two, "template", "nut-and-bolt-week", "version", 0));
        assertThat(again.status()).isEqualTo(200);
        JsonNode stages = find("cars", "id", car).path("stages");
        assertThat(StreamSupport.stream(stages.spliterator(), false)
                        .filter(s -> s.path("name").asText().equals("Check")
                                && s.path("roundId").asText().equals(round)))
                .hasSize(1);
        assertThat(worksOf(car).stream().filter(w -> w.path("roundId").asText().equals(round)))
                .hasSize(14);

        // A job of it changed keeps its round; the first night moved behind the second is said at the field.
        JsonNode job = its.get(0);
        assertThat(call(
                                MARA,
                                "PUT",
                                "/api/works/" + job.path("id").asText() + "/date",
                                map("dateId", one, "afterDates", false))
                        .status())
                .isEqualTo(204);
        Answer wrong = call(
                MARA,
                "PUT",
                "/api/rounds/" + round,
                map("name", "Between the nights", "dateId", one, "afterId", two, "version", 0));
        assertThat(wrong.at("afterId")).contains("not before Night one");
        assertThat(call(MARA, "POST", "/api/builds/" + car + "/rounds", map("name", "After the nights", "version", 0))
                        .at("name"))
                .contains("has a round of that name");
        assertThat(call(MARA, "DELETE", "/api/rounds/" + round, null).status()).isEqualTo(204);
        assertThat(worksOf(car)).noneMatch(w -> w.path("roundId").asText().equals(round));
    }

    @Test
    void aJobForAfterAllDatesHoldsNone() throws Exception {
        String car = find("cars", "number", "8").path("id").asText();
        String date = date(car, "Night one", 40);
        Answer added = call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "fit brace, rear, 3h"));
        assertThat(added.status()).as(added.body().toString()).isEqualTo(200);
        JsonNode job = worksOf(car).stream()
                .filter(w -> w.path("name").asText().equalsIgnoreCase("fit brace"))
                .findFirst()
                .orElseThrow();
        String path = "/api/works/" + job.path("id").asText();
        call(
                MARA,
                "POST",
                "/api/pins",
                map("workId", job.path("id").asText(), "kind", "NOT_BEFORE", "at", at(60, "09:00")));
        assertThat(margin(date)).isNegative();
        assertThat(call(MARA, "PUT", path + "/date", map("afterDates", true)).status())
                .isEqualTo(204);
        assertThat(margin(date)).isPositive();
        assertThat(call(BO, "PUT", path + "/date", map("afterDates", true)).status())
                .isEqualTo(403);
        assertThat(call(MARA, "PUT", path + "/date", map("dateId", "nonsense", "afterDates", false))
                        .at("dateId"))
                .contains("no date of this car");
    }

    @Test
    void aBookedSlotIsADateThatMovesWithTheBooking() throws Exception {
        JsonNode slot = find("commitments", "name", "Rolling road session");
        String outwork = slot.path("slotOf").asText();
        assertThat(outwork).isNotEmpty();
        assertThat(slot.path("kind").asText()).isEqualTo("SLOT");
        JsonNode work = find("works", "id", outwork);
        assertThat(slot.path("due").asText())
                .as("an hour's way before the session begins")
                .isEqualTo(java.time.Instant.parse(work.at("/outwork/slotFrom").asText())
                        .minusSeconds(3600)
                        .toString());
        // What goes before it makes it late; what comes after it does not.
        assertThat(slot.path("chain").toString()).doesNotContain(outwork);
        JsonNode times = call(MARA, "GET", "/api/outworks/" + outwork + "/slots", null)
                .body()
                .path("offered");
        assertThat(times).isNotEmpty();
        JsonNode other = times.get(0);
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/outworks/" + outwork + "/slot",
                                map("slotId", other.path("id").asText()))
                        .status())
                .isEqualTo(204);
        assertThat(find("commitments", "id", slot.path("id").asText())
                        .path("due")
                        .asText())
                .isEqualTo(java.time.Instant.parse(other.path("from").asText())
                        .minusSeconds(3600)
                        .toString());
        assertThat(call(MARA, "POST", "/api/outworks/" + outwork + "/slot", map())
                        .status())
                .isEqualTo(204);
        assertThat(StreamSupport.stream(board().path("commitments").spliterator(), false)
                        .noneMatch(c -> c.path("slotOf").asText().equals(outwork)))
                .isTrue();
    }

    @Test
    void aParkedCarLeavesThePlanAndComesBackAsItWas() throws Exception {
        String car = find("cars", "number", "440").path("id").asText();
        List<JsonNode> promises = StreamSupport.stream(
                        board().path("commitments").spliterator(), false)
                .filter(c -> c.path("buildId").asText().equals(car))
                .toList();
        List<Map<String, Object>> withdrawn =
                promises.stream().map(p -> map("id", p.path("id").asText())).toList();
        String park = "/api/builds/" + car + "/park";
        Answer busy = call(MARA, "POST", park, map("dates", withdrawn));
        assertThat(busy.status()).isEqualTo(422);
        assertThat(busy.at("until")).contains("Work goes on");
        for (JsonNode work : worksOf(car)) {
            if (work.path("status").asText().equals("STARTED")) {
                call(MARA, "POST", "/api/works/" + work.path("id").asText() + "/done", map());
            }
        }
        assertThat(call(MARA, "POST", park, map("dates", List.of())).at("dates"))
                .contains("Hand-over");
        assertThat(call(SEF, "POST", park, map("dates", withdrawn)).status()).isEqualTo(403);
        long open = worksOf(car).stream()
                .filter(w -> !w.path("status").asText().equals("DONE"))
                .count();
        assertThat(call(MARA, "POST", park, map("dates", withdrawn)).status()).isEqualTo(204);
        assertThat(find("cars", "id", car).path("parked").asBoolean()).isTrue();
        assertThat(worksOf(car)).as("its list stays to be read").hasSizeGreaterThanOrEqualTo((int) open);
        assertThat(worksOf(car)).noneMatch(w -> w.has("placed"));
        JsonNode snapshot = call(MARA, "GET", "/api/snapshot", null).body();
        assertThat(StreamSupport.stream(snapshot.path("builds").spliterator(), false)
                        .filter(b -> b.has("parked")))
                .hasSize(1);
        assertThat(call(MARA, "POST", "/api/builds/" + car + "/take-back", null).status())
                .isEqualTo(204);
        assertThat(worksOf(car).stream().filter(w -> w.has("placed")).count()).isEqualTo(open);

        Answer early =
                call(MARA, "POST", "/api/builds/" + car + "/park", map("until", at(30, "08:00"), "dates", List.of()));
        assertThat(early.status()).as("no date is left").isEqualTo(204);
        assertThat(worksOf(car))
                .allMatch(
                        w -> !w.has("placed") || w.at("/placed/start").asText().compareTo(at(30, "08:00")) >= 0);
    }
}
