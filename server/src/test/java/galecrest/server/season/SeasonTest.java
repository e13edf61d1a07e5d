package galecrest.server.season;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.journal.Journal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Two events of a car in a row over HTTP: the turnaround, what does not fit, the spare car, long stretches. */
class SeasonTest extends ServerTest {
    @Autowired
    private JdbcClient db;

    @Autowired
    private Journal journal;

    private String car;
    private String spare;
    private final List<String> components = new ArrayList<>();

    @BeforeEach
    void newCars() throws Exception {
        car = newBuild("S1", "Season car");
        spare = newBuild("S2", "Season spare");
    }

    @AfterEach
    void removeAll() throws Exception {
        for (JsonNode event : call(BO, "GET", "/api/events", null).body()) {
            if (event.path("name").asText().startsWith("Season ")) {
                call(SEF, "DELETE", "/api/events/" + event.path("id").asText(), null);
            }
        }
        for (String component : components) {
            call(SEF, "DELETE", "/api/components/" + component, null);
        }
        call(MARA, "DELETE", "/api/builds/" + car, null);
        call(MARA, "DELETE", "/api/builds/" + spare, null);
        call(
                MARA,
                "PUT",
                "/api/stretch-rule",
                Map.of("mostDays", 12, "mostNights", 4, "mostHours", 60, "eventHours", 10));
    }

    private String event(String name, String place, String loads, String back, String session) throws Exception {
        Map<String, Object> form = new HashMap<>();
        form.put("name", "Season " + name);
        form.put("place", place);
        form.put("loadsAt", loads);
        form.put("backAt", back);
        form.put("mostSets", 4);
        form.put("mostNew", 1);
        form.put("uses", 2);
        form.put(
                "sessions",
                List.of(Map.of("name", "Race", "kind", "RACE", "start", session, "minutes", 240, "km", 500)));
        form.put("cars", List.of(Map.of("buildId", car, "spare", false), Map.of("buildId", spare, "spare", true)));
        form.put("crew", List.of("kit"));
        form.put("version", 0);
        Answer answer = call(SEF, "POST", "/api/events", form);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("id").asText();
    }

    private void fitted(String name, String build, double hours, double most) throws Exception {
        Map<String, Object> form = new HashMap<>();
        form.put("name", name);
        form.put("identity", build);
        form.put("before", Map.of("HOURS", hours));
        form.put("limits", List.of(Map.of("counter", "HOURS", "most", most, "service", true)));
        form.put("safety", false);
        form.put("version", 0);
        String id = call(SEF, "POST", "/api/components", form).body().path("id").asText();
        components.add(id);
        call(SEF, "POST", "/api/components/" + id + "/fit", Map.of("buildId", build));
    }

    private JsonNode turnaround(String event) throws Exception {
        for (JsonNode each :
                call(BO, "GET", "/api/events/" + event + "/turnarounds", null).body()) {
            if (each.path("buildId").asText().equals(car)) {
                return each;
            }
        }
        throw new AssertionError("There is no turnaround.");
    }

    private static List<String> keys(JsonNode turnaround) {
        List<String> keys = new ArrayList<>();
        turnaround.path("lines").forEach(l -> keys.add(l.path("key").asText()));
        return keys;
    }

    private Answer lay(String event, List<String> lines) throws Exception {
        return call(SEF, "POST", "/api/events/" + event + "/turnarounds", Map.of("buildId", car, "lines", lines));
    }

    @Test
    void aTurnaroundIsProposedLaidAndPlannedIntoTheHoursThereAre() throws Exception {
        fitted("season engine", car, 38, 45);
        String first = event("one", "Crane Moor", at(28, "08:00"), at(31, "20:00"), at(29, "10:00"));
        assertThat(call(BO, "GET", "/api/events/" + first + "/turnarounds", null)
                        .body())
                .as("it comes from nowhere")
                .isEmpty();
        String second = event("two", "Hollin", at(40, "16:00"), at(43, "20:00"), at(41, "10:00"));
        JsonNode proposed = turnaround(second);
        assertThat(proposed.path("last").asText()).isEqualTo("Season one");
        assertThat(proposed.path("from").asText()).isEqualTo(at(31, "20:00"));
        assertThat(proposed.path("laid").isMissingNode()).isTrue();
        assertThat(proposed.path("there").asLong()).isPositive();
        assertThat(keys(proposed)).contains("wash", "bolts", "gearing", "due-season engine " + car, "load");
        assertThat(proposed.path("lines").toString()).contains("38 of 45 h; Season two takes it beyond the limit");
        assertThat(lay(second, List.of()).at("lines")).contains("What is to be done");
        assertThat(lay(second, List.of("polish")).at("lines")).contains("look again");
        Answer laid = lay(second, keys(proposed));
        assertThat(laid.status()).as(laid.body().toString()).isEqualTo(204);
        JsonNode planned = turnaround(second);
        assertThat(planned.path("laid").asText()).isEqualTo("Turnaround before Season two");
        assertThat(planned.path("lines")).hasSameSizeAs(proposed.path("lines"));
        for (JsonNode line : planned.path("lines")) {
            assertThat(line.path("fits").asBoolean()).as(line.toString()).isTrue();
            assertThat(line.path("end").asText())
                    .as("after it is back, before it leaves")
                    .isBetween(at(31, "20:00"), at(40, "16:00"));
        }
        assertThat(planned.path("there").asLong())
                .as("the hours are the same")
                .isEqualTo(proposed.path("there").asLong());
        assertThat(lay(second, keys(proposed)).at("name")).contains("has a round of that name");
        undo(SEF, 1);
        assertThat(turnaround(second).path("laid").isMissingNode()).isTrue();
    }

    @Test
    void whatDoesNotFitIsNamed() throws Exception {
        event("one", "Crane Moor", at(28, "08:00"), at(31, "20:00"), at(29, "10:00"));
        String second = event("two", "Crane Moor", at(32, "09:00"), at(35, "20:00"), at(33, "10:00"));
        JsonNode proposed = turnaround(second);
        assertThat(keys(proposed)).as("the same place").doesNotContain("gearing");
        assertThat(lay(second, keys(proposed)).status()).isEqualTo(204);
        JsonNode planned = turnaround(second);
        List<String> late = new ArrayList<>();
        planned.path("lines").forEach(l -> {
            if (!l.path("fits").asBoolean()) {
                late.add(l.path("name").asText());
            }
        });
        assertThat(late).as("a night is too short").contains("Load");
        assertThat(planned.path("dateId").asText())
                .as("where what would help is tried")
                .isNotBlank();
    }

    private Answer put(String path, Map<String, Object> body) throws Exception {
        return call(SEF, "PUT", path, body);
    }

    private void set(String name, String kind, String state, int cycles) throws Exception {
        call(
                SEF,
                "POST",
                "/api/tyre-sets",
                Map.of("buildId", car, "name", name, "kind", kind, "state", state, "cycles", cycles, "version", 0));
    }

    /** From an event entered four weeks ahead to the one after it. */
    @Test
    void fromEnteringAnEventToTheTurnaroundAfterIt() throws Exception {
        fitted("season engine", car, 38, 45);
        Map<String, Object> harness = new HashMap<>();
        harness.put("name", "season harness");
        harness.put("identity", car);
        harness.put("expires", day(-2));
        harness.put("safety", true);
        harness.put("version", 0);
        String belt =
                call(SEF, "POST", "/api/components", harness).body().path("id").asText();
        components.add(belt);
        call(SEF, "POST", "/api/components/" + belt + "/fit", Map.of("buildId", car));
        String first = event("one", "Crane Moor", at(28, "08:00"), at(31, "20:00"), at(29, "10:00"));
        assertThat(find("commitments", "name", "Season one")
                        .path("marginMinutes")
                        .isNumber())
                .isTrue();

        JsonNode gate = null;
        for (JsonNode each :
                call(BO, "GET", "/api/builds/" + car + "/gates", null).body()) {
            gate = each.path("gate").asText().equals("EVENT") ? each : gate;
        }
        assertThat(gate.path("state").asText()).isEqualTo("SHUT");
        assertThat(gate.path("lines").toString()).contains("season harness " + car + ": expired");

        set("21", "DRY", "NEW", 0);
        set("15", "DRY", "USED", 6);
        set("wet", "WET", "USED", 2);
        JsonNode tyres =
                call(BO, "GET", "/api/events/" + first + "/tyres", null).body().get(0);
        assertThat(tyres.path("kept").toString()).contains("wet");
        String race = tyres.path("served").get(0).path("sessionId").asText();
        String fresh = tyres.path("served").get(0).path("setId").asText();
        String old = "";
        for (JsonNode each : call(BO, "GET", "/api/tyre-sets", null).body()) {
            old = each.path("name").asText().equals("15")
                            && each.path("buildId").asText().equals(car)
                    ? each.path("id").asText()
                    : old;
        }
        assertThat(fresh).isNotEqualTo(old);
        assertThat(put("/api/events/" + first + "/tyre-locks", Map.of("buildId", car, "sessionId", race, "setId", old))
                        .status())
                .isEqualTo(204);

        for (String thing : List.of("jack", "awning", "spill kit")) {
            call(
                    BO,
                    "POST",
                    "/api/events/" + first + "/load",
                    Map.of("box", "pit", "name", thing, "quantity", 1, "kilograms", 9));
        }
        String jack = call(BO, "GET", "/api/events/" + first + "/load", null)
                .body()
                .path("items")
                .get(0)
                .path("id")
                .asText();
        assertThat(call(BO, "PUT", "/api/load-items/" + jack + "/tick", Map.of("aboard", true))
                        .status())
                .isEqualTo(204);
        assertThat(call(BO, "POST", "/api/events/" + first + "/leave", Map.of("anyway", false))
                        .at("leave"))
                .contains("awning, spill kit")
                .doesNotContain("jack");

        // As though it had been ten days ago.
        journal.change("moved what was entered", () -> {
            db.sql(
                            "update event set loads_at = loads_at - interval '40 days', back_at = back_at - interval '40 days' where id = :id")
                    .param("id", first)
                    .update();
            db.sql("update event_session set start_at = start_at - interval '40 days' where event_id = :id")
                    .param("id", first)
                    .update();
            db.sql("update commitment set due = due - interval '40 days', back_at = back_at - interval '40 days'"
                            + " where id in (select commitment_id from event_car where event_id = :id)")
                    .param("id", first)
                    .update();
            db.sql("update component_fitting set from_at = from_at - interval '90 days' where build_id = :car")
                    .param("car", car)
                    .update();
        });
        String second = event("two", "Hollin", at(1, "09:00"), at(3, "20:00"), at(2, "10:00"));
        assertThat(due("season engine")).as("4 h more are within the limit").isEqualTo("nothing is due");
        assertThat(call(SEF, "POST", "/api/events/" + first + "/over", null).status())
                .isEqualTo(204);
        assertThat(due("season engine")).isEqualTo("42 of 45 h; Season two takes it beyond the limit");

        Answer laid = lay(second, keys(turnaround(second)));
        assertThat(laid.status()).as(laid.body().toString()).isEqualTo(204);
        List<String> late = new ArrayList<>();
        turnaround(second).path("lines").forEach(l -> {
            if (!l.path("fits").asBoolean()) {
                late.add(l.path("name").asText());
            }
        });
        assertThat(late).as("a day is too short").isNotEmpty();
    }

    private String due(String component) throws Exception {
        for (JsonNode each : call(BO, "GET", "/api/components", null).body()) {
            if (each.path("name").asText().equals(component)) {
                return each.path("due").path(0).path("said").asText("nothing is due");
            }
        }
        throw new AssertionError(component);
    }

    @Test
    void aSpareLacksWhatTheRaceCarHasAndItsWorkIsCounted() throws Exception {
        fitted("season engine", car, 0, 45);
        fitted("season gearbox", car, 0, 45);
        fitted("season engine", spare, 0, 45);
        String first = event("one", "Crane Moor", at(28, "08:00"), at(31, "20:00"), at(29, "10:00"));
        String url = "/api/events/" + first + "/spares";
        JsonNode level = call(BO, "GET", url, null).body().get(0);
        assertThat(level.path("buildId").asText()).isEqualTo(spare);
        assertThat(level.path("said").asText()).startsWith("Everything but season gearbox " + car);
        call(BO, "POST", "/api/builds/" + spare + "/capture", Map.of("text", "brake lines 2h"));
        JsonNode later = call(BO, "GET", url, null).body().get(0);
        assertThat(later.path("minutes").asInt()).isEqualTo(120);
        assertThat(later.path("complete").asBoolean()).isFalse();
    }

    @Test
    void longStretchesAreShownAndTheHouseWarns() throws Exception {
        String first = event("one", "Crane Moor", at(28, "08:00"), at(31, "20:00"), at(29, "10:00"));
        assertThat(call(
                                MARA,
                                "PUT",
                                "/api/stretch-rule",
                                Map.of("mostDays", 3, "mostNights", 2, "mostHours", 168, "eventHours", 12))
                        .status())
                .isEqualTo(204);
        JsonNode kit = null;
        for (JsonNode each :
                call(BO, "GET", "/api/events/" + first + "/stretches", null).body()) {
            kit = each.path("personId").asText().equals("kit") ? each : kit;
        }
        assertThat(kit).isNotNull();
        assertThat(kit.path("nights").asInt()).isEqualTo(3);
        assertThat(kit.path("days").asInt()).isGreaterThanOrEqualTo(4);
        assertThat(kit.path("warnings").toString())
                .contains("nights in a row; the house has 2 at most")
                .contains("days in a row; the house has 3 at most");
        assertThat(call(
                                MARA,
                                "PUT",
                                "/api/stretch-rule",
                                Map.of("mostDays", 0, "mostNights", 2, "mostHours", 168, "eventHours", 12))
                        .at("mostDays"))
                .contains("1 to 60");
    }
}
