package galecrest.server.rollout;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Tries at steps over HTTP, by two people at a car of its own. */
class RollOutTest extends ServerTest {
    private String car;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("R1", "Roll-out car");
        JsonNode steps =
                call(SEF, "GET", "/api/builds/" + car + "/rollout-steps", null).body();
        Answer kept = call(
                SEF,
                "PUT",
                "/api/builds/" + car + "/rollout-steps",
                Map.of(
                        "edition",
                        steps.path("edition").asText(),
                        "steps",
                        List.of(
                                Map.of(
                                        "key", "first-fire",
                                        "name", "First fire",
                                        "before", List.of("Extinguisher in hand"),
                                        "after", List.of("No leak"),
                                        "channels", List.of("oil-pressure at least 1.0 bar running")),
                                Map.of(
                                        "key", "drive",
                                        "name", "Drive",
                                        "gate", "TEST",
                                        "channels", List.of("water at most 105 °C")))));
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(204);
    }

    @AfterEach
    void removeCar() throws Exception {
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private JsonNode rollOut() throws Exception {
        return call(BO, "GET", "/api/builds/" + car + "/rollout", null).body();
    }

    private Answer begin(Account who, String step) throws Exception {
        return call(who, "POST", "/api/builds/" + car + "/rollout/attempts", Map.of("step", step));
    }

    private Answer at(Account who, String attempt, String what, Map<String, ?> form) throws Exception {
        Map<String, Object> whole = new HashMap<>(form);
        if (what.equals("end")) {
            whole.putIfAbsent("km", 0);
            whole.putIfAbsent("warm", false);
        }
        String method = what.equals("go") || what.equals("end") ? "POST" : "PUT";
        return call(who, method, "/api/rollout-attempts/" + attempt + "/" + what, whole);
    }

    private Answer tick(String attempt, String check, boolean after) throws Exception {
        return at(SEF, attempt, "ticks", Map.of("check", check, "after", after, "ticked", true));
    }

    private String gone() throws Exception {
        String attempt = begin(BO, "first-fire").body().path("id").asText();
        tick(attempt, "Extinguisher in hand", false);
        at(BO, attempt, "names", Map.of("driver", "Bo"));
        at(SEF, attempt, "names", Map.of("looker", "Sef"));
        Answer go = at(BO, attempt, "go", Map.of());
        assertThat(go.status()).as(go.body().toString()).isEqualTo(204);
        return attempt;
    }

    @Test
    void goTakesChecksAndTwoNames() throws Exception {
        String attempt = begin(BO, "first-fire").body().path("id").asText();
        assertThat(begin(SEF, "first-fire").body().toString()).contains("Somebody else has opened First fire");
        assertThat(begin(SEF, "drive").status()).isEqualTo(409);
        assertThat(at(BO, attempt, "go", Map.of()).body().toString())
                .contains("one check is open", "nobody drives yet");
        assertThat(tick(attempt, "No leak", true).at("check")).contains("once the car has gone");
        assertThat(tick(attempt, "Something else", false).status()).isEqualTo(404);
        assertThat(tick(attempt, "Extinguisher in hand", false).status()).isEqualTo(204);
        assertThat(at(BO, attempt, "names", Map.of("driver", "Bo")).status()).isEqualTo(204);
        assertThat(at(BO, attempt, "go", Map.of()).at("go")).isEqualTo("nobody looks yet");
        assertThat(at(SEF, attempt, "names", Map.of("looker", "bo")).at("looker"))
                .contains("two people");
        assertThat(at(SEF, attempt, "names", Map.of("looker", "Sef")).status()).isEqualTo(204);
        assertThat(at(BO, attempt, "go", Map.of()).status()).isEqualTo(204);
        assertThat(at(SEF, attempt, "go", Map.of()).status()).isEqualTo(409);
        assertThat(at(SEF, attempt, "names", Map.of("looker", "Kit")).at("driver"))
                .contains("has gone");
    }

    @Test
    void aLeakMakesAFindingAJobAndAnotherTry() throws Exception {
        String attempt = gone();
        assertThat(at(BO, attempt, "end", Map.of("done", true, "leaked", "weep"))
                        .at("leaked"))
                .contains("not done");
        assertThat(at(BO, attempt, "end", Map.of("done", false)).at("seen")).contains("Say what was seen");
        assertThat(at(BO, attempt, "end", Map.of("done", true, "km", -3)).at("km"))
                .contains("0 to");
        assertThat(at(BO, attempt, "end", Map.of("done", true)).at("done")).contains("one check is open");
        Answer stopped = at(
                BO,
                attempt,
                "end",
                Map.of("done", false, "leaked", "weep at the cooler union", "oilPressure", "3 bar"));
        assertThat(stopped.status()).as(stopped.body().toString()).isEqualTo(204);
        assertThat(at(SEF, attempt, "end", Map.of("done", false, "seen", "smoke"))
                        .status())
                .as("over already: it is not counted twice")
                .isEqualTo(409);
        JsonNode now = rollOut();
        assertThat(now.path("started").asInt()).isEqualTo(1);
        assertThat(now.path("fires").get(0).path("leaked").asText()).isEqualTo("weep at the cooler union");
        JsonNode finding = now.path("findings").get(0);
        assertThat(finding.path("what").asText()).isEqualTo("Leak: weep at the cooler union");
        assertThat(finding.path("before").asText()).isEqualTo("first-fire");
        assertThat(now.path("steps").get(0).path("blocked").toString()).contains("found before: Leak");
        String work = finding.path("workId").asText();
        assertThat(call(BO, "POST", "/api/works/" + work + "/done", null).status())
                .isLessThan(300);
        String second = gone();
        tick(second, "No leak", true);
        assertThat(at(BO, second, "end", Map.of("done", true, "km", 0.4, "warm", true))
                        .status())
                .isEqualTo(204);
        now = rollOut();
        assertThat(now.path("steps").get(0).path("done").asBoolean()).isTrue();
        assertThat(now.path("over").size()).isEqualTo(2);
        assertThat(now.path("here").asText()).isEqualTo("drive");
        assertThat(now.path("started").asInt()).isEqualTo(2);
    }

    @Test
    void aFindingIsPutOffOnPurpose() throws Exception {
        assertThat(call(BO, "POST", "/api/builds/" + car + "/rollout/findings", Map.of("what", " ", "minutes", 2))
                        .at("minutes"))
                .contains("5 to");
        call(
                BO,
                "POST",
                "/api/builds/" + car + "/rollout/findings",
                Map.of("what", "fan comes in late", "minutes", 20, "before", "first-fire"));
        assertThat(rollOut().path("steps").get(0).path("blocked").toString()).contains("fan comes in late");
        String finding = rollOut().path("findings").get(0).path("id").asText();
        assertThat(call(SEF, "PUT", "/api/rollout-findings/" + finding, Map.of("before", "nowhere"))
                        .status())
                .isEqualTo(404);
        assertThat(call(SEF, "PUT", "/api/rollout-findings/" + finding, Map.of("before", "drive"))
                        .status())
                .isEqualTo(204);
        assertThat(rollOut().path("steps").get(0).path("blocked")).isEmpty();
        assertThat(rollOut().path("steps").get(1).path("blocked").toString())
                .contains("gate test is not passed", "fan comes in late");
    }

    @Test
    void theLoggerAsksToStop() throws Exception {
        call(BO, "POST", "/api/devices/logger/simulate", Map.of("what", "well"));
        gone();
        await(() -> call(BO, "GET", "/api/builds/" + car + "/rollout/live", null)
                .body()
                .toString()
                .contains("bar"));
        call(BO, "POST", "/api/devices/logger/simulate", Map.of("what", "warm"));
        call(BO, "POST", "/api/devices/logger/simulate", Map.of("what", "fail oil"));
        await(() -> rollOut().path("open").path("stop").asText().contains("oil pressure"));
        call(BO, "POST", "/api/devices/logger/simulate", Map.of("what", "well"));
        call(BO, "POST", "/api/devices/logger/simulate", Map.of("what", "off"));
        String attempt = rollOut().path("open").path("id").asText();
        at(BO, attempt, "end", Map.of("done", false, "seen", "pressure fell"));
        JsonNode over = rollOut().path("over").get(0);
        assertThat(over.path("extremes").asText()).contains("oil pressure", "at least");
        assertThat(over.path("stop").asText()).contains("under its floor of 1.0 bar");
    }

    @Test
    void aFireIsLoggedOnce() throws Exception {
        Map<String, Object> fire = Map.of("key", "f" + car, "seconds", 14, "stoppedBecause", "weep", "warm", false);
        assertThat(call(BO, "POST", "/api/builds/" + car + "/fires", fire).status())
                .isEqualTo(204);
        assertThat(call(SEF, "POST", "/api/builds/" + car + "/fires", fire).status())
                .isEqualTo(204);
        assertThat(rollOut().path("fires")).hasSize(1);
        assertThat(rollOut().path("started").asInt()).isEqualTo(1);
        assertThat(call(BO, "POST", "/api/builds/" + car + "/fires", Map.of("key", "g", "seconds", 0, "warm", false))
                        .at("seconds"))
                .contains("How long");
    }

    @Test
    void stepsThatAreNoneAreRefused() throws Exception {
        JsonNode steps =
                call(SEF, "GET", "/api/builds/" + car + "/rollout-steps", null).body();
        Answer wrong = call(
                SEF,
                "PUT",
                "/api/builds/" + car + "/rollout-steps",
                Map.of(
                        "edition",
                        steps.path("edition").asText(),
                        "steps",
                        List.of(Map.of("name", "", "channels", List.of("water hot")))));
        assertThat(wrong.at("steps[0].name")).contains("called");
        assertThat(wrong.at("steps[0].channels")).contains("cannot be read");
    }
}
