package galecrest.server.event;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.journal.Journal;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Events over HTTP, with a car of their own: what entering one makes, and what leaving it out gives back. */
class EventTest extends ServerTest {
    private String car;

    @Autowired
    private JdbcClient db;

    @Autowired
    private Journal journal;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("E1", "Event car");
    }

    @AfterEach
    void removeAll() throws Exception {
        for (JsonNode event : call(BO, "GET", "/api/events", null).body()) {
            if (event.path("name").asText().startsWith("Test ")) {
                call(SEF, "DELETE", "/api/events/" + event.path("id").asText(), null);
            }
        }
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private Map<String, Object> form(String name) {
        Map<String, Object> form = new HashMap<>();
        form.put("name", name);
        form.put("place", "Crane Moor");
        form.put("loadsAt", at(28, "16:00"));
        form.put("backAt", at(31, "20:00"));
        form.put("mostSets", 4);
        form.put("mostNew", 1);
        form.put("uses", 2);
        form.put(
                "sessions",
                List.of(
                        session("Practice", "PRACTICE", at(29, "10:00"), 40, 60),
                        session("Grid", "QUALIFYING", at(29, "15:00"), 20, 30),
                        session("Race", "RACE", at(30, "10:00"), 240, 500)));
        form.put(
                "cars",
                List.of(Map.of("buildId", car, "spare", false, "driver", "Ines", "template", "nut-and-bolt-week")));
        form.put("crew", List.of("kit"));
        form.put("version", 0);
        return form;
    }

    private static Map<String, Object> session(String name, String kind, String start, int minutes, double km) {
        return Map.of("name", name, "kind", kind, "start", start, "minutes", minutes, "km", km);
    }

    private String entered(Map<String, Object> form) throws Exception {
        Answer answer = call(SEF, "POST", "/api/events", form);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("id").asText();
    }

    private JsonNode event(String id) throws Exception {
        for (JsonNode event : call(BO, "GET", "/api/events", null).body()) {
            if (event.path("id").asText().equals(id)) {
                return event;
            }
        }
        throw new AssertionError("There is no such event.");
    }

    private String set(String name, String state, int cycles, String kind) throws Exception {
        Answer answer = call(
                SEF,
                "POST",
                "/api/tyre-sets",
                Map.of("buildId", car, "name", name, "kind", kind, "state", state, "cycles", cycles, "version", 0));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("id").asText();
    }

    private long works() throws Exception {
        long count = 0;
        for (JsonNode work : board().path("works")) {
            count += work.path("buildId").asText().equals(car) ? 1 : 0;
        }
        return count;
    }

    @Test
    void enteringOneMakesItsDatesAndWorkAndLeavingItOutGivesThemBack() throws Exception {
        String id = entered(form("Test of four hours"));
        JsonNode date = find("commitments", "name", "Test of four hours");
        assertThat(date.path("buildId").asText()).isEqualTo(car);
        assertThat(date.path("kind").asText()).isEqualTo("EVENT");
        assertThat(date.path("marginMinutes").isNumber()).as("it is planned").isTrue();
        assertThat(date.path("outing").path("crew").toString()).contains("kit");
        assertThat(works()).isEqualTo(14);
        Map<String, Object> later = form("Test of five hours");
        later.put("loadsAt", at(29, "09:00"));
        later.put("version", event(id).path("version").asInt());
        Answer changed = call(SEF, "PUT", "/api/events/" + id, later);
        assertThat(changed.status()).as(changed.body().toString()).isEqualTo(204);
        assertThat(find("commitments", "name", "Test of five hours").path("due").asText())
                .isEqualTo(at(29, "09:00"));
        assertThat(call(SEF, "PUT", "/api/events/" + id, later).status()).isEqualTo(409);
        assertThat(call(SEF, "DELETE", "/api/events/" + id, null).status()).isEqualTo(204);
        assertThat(works()).isZero();
        assertThat(board().path("commitments").toString()).doesNotContain("Test of five hours");
        undo(SEF, 1);
        assertThat(works()).isEqualTo(14);
        assertThat(event(id).path("sessions")).hasSize(3);
    }

    @Test
    void badInputIsRefusedAtItsField() throws Exception {
        Map<String, Object> wrong = form(" ");
        wrong.put("loadsAt", at(-3, "09:00"));
        wrong.put("backAt", at(-4, "09:00"));
        wrong.put("uses", 0);
        wrong.put("sessions", List.of(session("", "RACE", at(-5, "09:00"), 0, -1)));
        wrong.put("cars", List.of());
        Answer answer = call(SEF, "POST", "/api/events", wrong);
        assertThat(answer.at("name")).contains("called");
        assertThat(answer.at("loadsAt")).contains("passed already");
        assertThat(answer.at("backAt")).contains("after they leave");
        assertThat(answer.at("uses")).contains("1 to 4");
        assertThat(answer.at("cars")).contains("Which cars");
        assertThat(answer.at("sessions[0].name")).contains("called");
        assertThat(answer.at("sessions[0].start")).contains("before the cars are loaded");
        assertThat(answer.at("sessions[0].minutes")).contains("1 min");
        assertThat(answer.at("sessions[0].km")).contains("0 km");
        Map<String, Object> gone = form("Test with a car that is gone");
        gone.put("cars", List.of(Map.of("buildId", "none", "spare", false)));
        assertThat(call(SEF, "POST", "/api/events", gone).at("cars")).contains("not there any more");
        assertThat(call(BO, "GET", "/api/events", null).body().toString()).doesNotContain("Test with a car");
        entered(form("Test that it is at"));
        Map<String, Object> both = form("Test at the same time");
        both.put("crew", List.of());
        both.put("loadsAt", at(30, "16:00"));
        both.put("sessions", List.of());
        assertThat(call(SEF, "POST", "/api/events", both).at("cars"))
                .isEqualTo("E1 Event car is at Test that it is at then.");
    }

    @Test
    void tyresAreAllocatedAndOneIsChosenByHand() throws Exception {
        String id = entered(form("Test with tyres"));
        assertThat(plan(id).path("why").toString()).contains("There is no dry set for 3 sessions.");
        String fresh = set("21", "NEW", 0, "DRY");
        set("22", "SCUFFED", 1, "DRY");
        String old = set("15", "USED", 7, "DRY");
        String wet = set("wet", "USED", 2, "WET");
        assertThat(call(
                                SEF,
                                "POST",
                                "/api/tyre-sets",
                                Map.of(
                                        "buildId", car, "name", "21", "kind", "DRY", "state", "NEW", "cycles", 3,
                                        "version", 0))
                        .at("cycles"))
                .contains("A new set has none");
        JsonNode plan = plan(id);
        assertThat(plan.path("why")).isEmpty();
        assertThat(served(plan, "Grid", id)).isEqualTo(fresh);
        assertThat(served(plan, "Practice", id)).isEqualTo(old);
        assertThat(plan.path("kept").toString()).contains("wet");
        Map<String, Object> lock = new HashMap<>();
        lock.put("buildId", car);
        lock.put("sessionId", session(id, "Grid"));
        lock.put("setId", wet);
        String url = "/api/events/" + id + "/tyre-locks";
        assertThat(call(SEF, "PUT", url, lock).at("setId")).contains("kept back for rain");
        lock.put("setId", old);
        assertThat(call(SEF, "PUT", url, lock).status()).isEqualTo(204);
        assertThat(served(plan(id), "Grid", id)).isEqualTo(old);
        lock.put("setId", null);
        assertThat(call(SEF, "PUT", url, lock).status()).isEqualTo(204);
        assertThat(served(plan(id), "Grid", id)).isEqualTo(fresh);
    }

    @Test
    void theTyrePlanGoesOutAndComesBackAsATable() throws Exception {
        String id = entered(form("Test of a table"));
        set("21", "NEW", 0, "DRY");
        set("15", "USED", 7, "DRY");
        String table = csv(id);
        assertThat(table).startsWith("car,set,kind,state,cycles,made_on,session,by_hand");
        assertThat(table).contains("E1 Event car,21,dry,new,0,,Grid,no");
        String url = "/api/events/" + id + "/tyres/import";
        byte[] same = table.getBytes(StandardCharsets.UTF_8);
        assertThat(upload(SEF, url, same).body().path("added").asInt()).isZero();
        assertThat(csv(id)).isEqualTo(table);
        String other = "car,set,kind,state,cycles,made_on,session,by_hand\r\n"
                + "E1 Event car,15,dry,used,8,2026-03-02,Grid,yes\r\nE1 Event car,30,wet,used,2,,,no\r\n";
        assertThat(upload(SEF, url, other.getBytes(StandardCharsets.UTF_8))
                        .body()
                        .path("added")
                        .asInt())
                .isEqualTo(1);
        assertThat(csv(id))
                .contains("E1 Event car,15,dry,used,8,2026-03-02,Grid,yes", "E1 Event car,30,wet,used,2,,,no");
        String wrong = "car,set,kind,state,cycles,made_on,session,by_hand\r\nE1 Event car,31,dry,used,1,,,no\r\n"
                + "E1 Event car,15,dry,used,8,2026-03-02,Warm-up,yes\r\n";
        Answer refused = upload(SEF, url, wrong.getBytes(StandardCharsets.UTF_8));
        assertThat(refused.at("line 3, session")).contains("no session \"Warm-up\"");
        assertThat(csv(id)).as("wholly or not at all").doesNotContain(",31,");
    }

    private String csv(String event) throws Exception {
        return new String(
                mvc.perform(MockMvcRequestBuilders.get("/api/events/" + event + "/tyres.csv")
                                .cookie(session(BO)))
                        .andReturn()
                        .getResponse()
                        .getContentAsByteArray(),
                StandardCharsets.UTF_8);
    }

    private JsonNode plan(String event) throws Exception {
        return call(BO, "GET", "/api/events/" + event + "/tyres", null).body().get(0);
    }

    private String session(String event, String name) throws Exception {
        for (JsonNode session : event(event).path("sessions")) {
            if (session.path("name").asText().equals(name)) {
                return session.path("id").asText();
            }
        }
        throw new AssertionError(name);
    }

    private String served(JsonNode plan, String session, String event) throws Exception {
        for (JsonNode served : plan.path("served")) {
            if (served.path("sessionId").asText().equals(session(event, session))) {
                return served.path("setId").asText();
            }
        }
        return "";
    }

    @Test
    void hoursAndCyclesAreForecastThenBookedOnce() throws Exception {
        Map<String, Object> engine = new HashMap<>();
        engine.put("name", "test event engine");
        engine.put("identity", car);
        engine.put("before", Map.of("HOURS", 41));
        engine.put("limits", List.of(Map.of("counter", "HOURS", "most", 45, "service", true)));
        engine.put("safety", false);
        engine.put("version", 0);
        String component =
                call(SEF, "POST", "/api/components", engine).body().path("id").asText();
        call(SEF, "POST", "/api/components/" + component + "/fit", Map.of("buildId", car));
        String set = set("21", "NEW", 0, "DRY");
        set("22", "USED", 3, "DRY");
        String id = entered(form("Test that is over"));
        assertThat(component(component).path("due").get(0).path("said").asText())
                .isEqualTo("41 of 45 h; Test that is over takes it beyond the limit");
        assertThat(call(SEF, "POST", "/api/events/" + id + "/over", null).at("sessions"))
                .contains("not over yet");
        // As though it had been a month ago.
        journal.change("moved what was entered", () -> {
            db.sql("update event set loads_at = loads_at - interval '60 days', back_at = null where id = :id")
                    .param("id", id)
                    .update();
            db.sql("update event_session set start_at = start_at - interval '60 days' where event_id = :id")
                    .param("id", id)
                    .update();
            db.sql("update component_fitting set from_at = from_at - interval '90 days' where component_id = :id")
                    .param("id", component)
                    .update();
        });
        assertThat(call(SEF, "POST", "/api/events/" + id + "/over", null).status())
                .isEqualTo(204);
        assertThat(call(SEF, "POST", "/api/events/" + id + "/over", null).status())
                .isEqualTo(409);
        Map<String, Object> later = form("Test that is over");
        later.put("version", event(id).path("version").asInt());
        assertThat(call(SEF, "PUT", "/api/events/" + id, later).at("name")).contains("is booked");
        assertThat(call(SEF, "DELETE", "/api/events/" + id, null).at("id")).contains("stays in the record");
        JsonNode total = component(component).path("total");
        assertThat(total.path("HOURS").asDouble()).isCloseTo(41 + 5, within(1e-9));
        assertThat(total.path("DISTANCE").asDouble()).isCloseTo(590, within(1e-9));
        assertThat(total.path("EVENTS").asDouble()).isEqualTo(1);
        JsonNode sets = call(BO, "GET", "/api/tyre-sets", null).body();
        int cycles = 0;
        for (JsonNode each : sets) {
            if (each.path("buildId").asText().equals(car)) {
                cycles += each.path("cycles").asInt();
            }
        }
        assertThat(cycles).as("three sessions on two sets").isEqualTo(3 + 3);
        assertThat(sets.toString()).contains(set);
        call(SEF, "DELETE", "/api/components/" + component, null);
    }

    private JsonNode component(String id) throws Exception {
        for (JsonNode component : call(BO, "GET", "/api/components", null).body()) {
            if (component.path("id").asText().equals(id)) {
                return component;
            }
        }
        throw new AssertionError("There is no such component.");
    }
}
