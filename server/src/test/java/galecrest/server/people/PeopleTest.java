package galecrest.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.time.DayOfWeek;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** People, their hours, leave and extra shifts, and what the plan makes of them. */
class PeopleTest extends ServerTest {
    private static Map<String, Object> person(Object... changes) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "name",
                "Tam",
                "skills",
                List.of(Map.of("skill", "paint", "level", "ABLE")),
                "shifts",
                List.of(Map.of("day", 1, "start", "08:00", "end", "16:00")),
                "costPerHour",
                31.50,
                "version",
                0));
        for (int i = 0; i < changes.length; i += 2) {
            form.put((String) changes[i], changes[i + 1]);
        }
        return form;
    }

    private static Map<String, Object> leave(String from, String to) {
        return Map.of("kind", "LEAVE", "from", from, "to", to, "note", "");
    }

    private void undo(int times) throws Exception {
        for (int i = 0; i < times; i++) {
            assertThat(call(MARA, "POST", "/api/undo", null).status()).isLessThan(300);
        }
    }

    private JsonNode load(String person, String day) throws Exception {
        return StreamSupport.stream(board().get("loads").spliterator(), false)
                .filter(l -> l.path("personId").asText().equals(person))
                .filter(l -> l.get("day").asText().equals(day))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void someoneIsTakenOnChangedAndTakenOff() throws Exception {
        Answer added = call(MARA, "POST", "/api/people", person());
        assertThat(added.status()).isEqualTo(200);
        String id = added.body().get("id").asText();
        assertThat(find("people", "id", id).at("/skills/0/skill").asText()).isEqualTo("paint");
        assertThat(load(id, day(next(DayOfWeek.MONDAY))).get("thereMinutes").asInt())
                .as("Monday")
                .isEqualTo(480);
        assertThat(load(id, day(next(DayOfWeek.TUESDAY))).get("thereMinutes").asInt())
                .as("Tuesday")
                .isZero();
        int version = find("people", "id", id).get("version").asInt();
        Map<String, Object> half =
                person("version", version, "shifts", List.of(Map.of("day", 1, "start", "08:00", "end", "12:00")));
        assertThat(call(MARA, "PUT", "/api/people/" + id, half).status()).isEqualTo(204);
        assertThat(load(id, day(next(DayOfWeek.MONDAY))).get("thereMinutes").asInt())
                .isEqualTo(240);
        Answer stale = call(MARA, "PUT", "/api/people/" + id, half);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.body().get("detail").asText()).contains("Somebody else changed Tam");
        assertThat(call(MARA, "DELETE", "/api/people/" + id, null).status()).isEqualTo(204);
        assertThat(board().get("people").toString()).doesNotContain("Tam");
        undo(3);
    }

    @Test
    void leaveTakesSomeoneOutOfThePlan() throws Exception {
        // From Monday to Wednesday Ina is on leave in the demo anyway.
        int thursday = next(DayOfWeek.MONDAY) + 3;
        String ina = find("people", "name", "Ina").get("id").asText();
        Answer added =
                call(MARA, "POST", "/api/people/" + ina + "/shift-changes", leave(day(thursday), day(thursday + 1)));
        assertThat(added.status()).isEqualTo(200);
        for (String day : List.of(day(thursday), day(thursday + 1))) {
            assertThat(load(ina, day).get("away").asBoolean()).isTrue();
            assertThat(load(ina, day).get("plannedMinutes").asInt()).isZero();
        }
        assertThat(board().at("/brief/away").toString()).contains("Ina");
        String change = added.body().get("id").asText();
        assertThat(call(MARA, "DELETE", "/api/people/" + ina + "/shift-changes/" + change, null)
                        .status())
                .isEqualTo(204);
        assertThat(load(ina, day(thursday)).get("away").asBoolean()).isFalse();
        assertThat(call(MARA, "DELETE", "/api/people/" + ina + "/shift-changes/" + change, null)
                        .status())
                .isEqualTo(404);
        undo(2);
    }

    @Test
    void anExtraShiftIsTimeMore() throws Exception {
        String ina = find("people", "name", "Ina").get("id").asText();
        String saturday = day(next(DayOfWeek.SATURDAY));
        int before = load(ina, saturday).get("thereMinutes").asInt();
        Map<String, Object> extra = new HashMap<>(
                Map.of("kind", "EXTRA", "from", saturday, "to", saturday, "start", "08:00", "end", "12:00"));
        extra.put("note", "asked her");
        assertThat(call(MARA, "POST", "/api/people/" + ina + "/shift-changes", extra)
                        .status())
                .isEqualTo(200);
        assertThat(load(ina, saturday).get("thereMinutes").asInt()).isEqualTo(before + 240);
        undo(1);
    }

    @Test
    void whatMakesNoSense() throws Exception {
        String before = record();
        assertThat(call(MARA, "POST", "/api/people", person("name", "")).at("name"))
                .contains("needs a name");
        assertThat(call(MARA, "POST", "/api/people", person("costPerHour", -1)).at("costPerHour"))
                .contains("between 0 and 10 000");
        assertThat(call(MARA, "POST", "/api/people", person("skills", List.of(Map.of("skill", " ", "level", "LEAD"))))
                        .at("skills.0"))
                .contains("needs a name");
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/people",
                                person("shifts", List.of(Map.of("day", 8, "start", "08:00", "end", "16:00"))))
                        .at("shifts.0"))
                .contains("1 (Monday) to 7 (Sunday)");
        String ina = find("people", "name", "Ina").get("id").asText();
        String changes = "/api/people/" + ina + "/shift-changes";
        assertThat(call(MARA, "POST", changes, leave(day(8), day(6))).at("to")).contains("on or after the first");
        assertThat(call(MARA, "POST", changes, Map.of("kind", "EXTRA", "from", day(10), "to", day(10), "note", ""))
                        .at("start"))
                .contains("needs its hours");
        assertThat(call(MARA, "POST", changes, Map.of("kind", "LEAVE", "to", day(10), "note", ""))
                        .at("from"))
                .contains("missing");
        assertThat(call(MARA, "POST", "/api/people/none/shift-changes", leave(day(6), day(6)))
                        .status())
                .isEqualTo(404);
        assertThat(call(BO, "POST", "/api/people", person()).status()).isEqualTo(403);
        assertThat(record()).isEqualTo(before);
    }
}
