package galecrest.server.round;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.WorkId;
import galecrest.server.ServerTest;
import galecrest.server.plan.PlanService;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A car that leaves for a test day with people and the trailer, is worked on there and comes back with a list. */
class OutingTest extends ServerTest {
    @Autowired
    private PlanService plans;

    private long before;
    private String car;
    private String kit;
    private String station;

    @BeforeEach
    void aSessionOfItsOwn() throws Exception {
        signIn(MARA);
        before = board().path("change").asLong();
        car = find("cars", "number", "8").path("id").asText();
        kit = find("people", "name", "Kit").path("id").asText();
        station = board().path("stations").get(0).path("id").asText();
    }

    @AfterEach
    void asItWas() throws Exception {
        while (board().path("change").asLong() > before
                && call(MARA, "POST", "/api/undo", null).status() == 200) {
            // Takes back what this session did, the newest first.
        }
    }

    private Map<String, Object> date(String build, String name, int day, int back, Object crew) throws Exception {
        Map<String, Object> form = new HashMap<>(Map.of("buildId", build, "name", name, "kind", "EVENT"));
        form.putAll(Map.of("due", at(day, "08:00"), "gate", "TEST", "weight", 1, "version", 0));
        form.put("outing", Map.of("back", at(back, "12:00"), "crew", crew, "takes", List.of(station)));
        return form;
    }

    private Stream<JsonNode> worksOf(String build) throws Exception {
        return StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("buildId").asText().equals(build));
    }

    private String add(Map<String, Object> form) throws Exception {
        Answer added = call(MARA, "POST", "/api/commitments", form);
        assertThat(added.status()).as(added.body().toString()).isEqualTo(200);
        return added.body().path("id").asText();
    }

    private String captured(String line) throws Exception {
        Answer added = call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", line));
        return added.body().path("workId").asText();
    }

    @Test
    void peopleCarAndStationAreAwayTogetherAndWhoeverMovesTheDateMovesThem() throws Exception {
        String id = add(date(car, "Test day", 9, 11, List.of(kit)));
        JsonNode away = find("people", "id", kit).path("changes");
        assertThat(away.toString()).contains("AWAY").contains("at Test day");
        Plan plan = plans.current().plan();
        ShopSnapshot shop = plans.current().shop();
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        Instant leaves = Instant.parse(at(9, "08:00"));
        Instant back = Instant.parse(at(11, "12:00"));
        assertThat(plan.placed().stream()
                        .filter(p -> p.crew().stream().anyMatch(c -> c.value().equals(kit)))
                        .flatMap(p -> p.at().stream()))
                .noneMatch(s -> s.from().isBefore(back) && s.to().isAfter(leaves));

        Map<String, Object> moved = date(car, "Test day", 16, 18, List.of(kit));
        moved.put("version", find("commitments", "id", id).path("version").asInt());
        assertThat(call(MARA, "PUT", "/api/commitments/" + id, moved).status()).isEqualTo(204);
        assertThat(find("people", "id", kit).path("changes").toString())
                .contains(at(16, "08:00").substring(0, 10));
        moved.put("version", find("commitments", "id", id).path("version").asInt());
        moved.remove("outing");
        assertThat(call(MARA, "PUT", "/api/commitments/" + id, moved).status()).isEqualTo(204);
        assertThat(find("people", "id", kit).path("changes").toString()).doesNotContain("AWAY");
    }

    @Test
    void nobodyGoesToTwoPlacesAndNobodyComesBackBeforeLeaving() throws Exception {
        add(date(car, "Test day", 9, 11, List.of(kit)));
        String other = find("cars", "number", "440").path("id").asText();
        assertThat(call(MARA, "POST", "/api/commitments", date(other, "Shakedown", 10, 12, List.of(kit)))
                        .at("crew"))
                .isEqualTo("Kit is away then with 8 "
                        + find("cars", "id", car).path("name").asText() + ", at Test day.");
        assertThat(call(MARA, "POST", "/api/commitments", date(other, "Shakedown", 10, 12, List.of()))
                        .at("takes"))
                .contains("is away then with 8");
        assertThat(call(MARA, "POST", "/api/commitments", date(other, "Shakedown", 10, 9, List.of()))
                        .at("back"))
                .contains("comes back after it leaves");
        assertThat(call(MARA, "POST", "/api/commitments", date(other, "Shakedown", 20, 22, List.of("nobody")))
                        .status())
                .as("somebody who is not there")
                .isBetween(400, 499);
        Map<String, Object> entered = Map.of("kind", "AWAY", "from", "2027-03-01", "to", "2027-03-02", "note", "");
        assertThat(call(MARA, "POST", "/api/people/" + kit + "/shift-changes", entered)
                        .at("kind"))
                .contains("at the car's date");
        assertThat(board().path("commitments").findValuesAsText("name")).doesNotContain("Shakedown");
    }

    @Test
    void workIsDoneThereAndItComesBackWithAList() throws Exception {
        String id = add(date(car, "Test day", 9, 11, List.of(kit)));
        String job = captured("log tyre heat, front, 30m");
        assertThat(call(MARA, "PUT", "/api/works/" + job + "/date", Map.of("afterDates", false, "thereId", id))
                        .status())
                .isEqualTo(204);
        Plan.Placed placed = plans.current().plan().byWork().get(new WorkId(job));
        assertThat(placed.start()).isEqualTo(Instant.parse(at(9, "08:00")));
        assertThat(placed.end()).isEqualTo(Instant.parse(at(11, "12:00")));
        assertThat(find("works", "id", job).path("thereId").asText()).isEqualTo(id);
        assertThat(find("commitments", "id", id).path("chain").toString()).doesNotContain(job);

        String list = "/api/builds/" + car + "/rounds";
        assertThat(call(
                                MARA,
                                "POST",
                                list,
                                Map.of(
                                        "name",
                                        "Back",
                                        "afterId",
                                        id,
                                        "version",
                                        0,
                                        "lines",
                                        List.of("a union 1h", "front")))
                        .at("lines"))
                .contains("Line 2");
        Answer laid = call(
                MARA,
                "POST",
                list,
                Map.of("name", "Back", "afterId", id, "version", 0, "lines", List.of("weeping union, rear, 40m", " ")));
        assertThat(laid.status()).as(laid.body().toString()).isEqualTo(200);
        List<JsonNode> its = worksOf(car)
                .filter(w ->
                        w.path("roundId").asText().equals(laid.body().path("id").asText()))
                .toList();
        assertThat(its).extracting(w -> w.path("name").asText()).containsExactly("Weeping union");
        assertThat(its.get(0).at("/placed/start").asText()).isGreaterThanOrEqualTo(at(11, "12:00"));

        // The file of the shop carries all of it, and is taken in again.
        JsonNode file = call(MARA, "GET", "/api/snapshot", null).body();
        JsonNode outing = StreamSupport.stream(file.path("commitments").spliterator(), false)
                .filter(c -> c.path("id").asText().equals(id))
                .findFirst()
                .orElseThrow()
                .path("outing");
        assertThat(outing.path("there").get(0).asText()).isEqualTo(job);
        assertThat(outing.path("crew").get(0).asText()).isEqualTo(kit);
    }
}
