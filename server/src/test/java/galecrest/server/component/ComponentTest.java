package galecrest.server.component;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Components and what wears them over HTTP, at two cars of their own. */
class ComponentTest extends ServerTest {
    private String car;
    private String other;

    @BeforeEach
    void newCars() throws Exception {
        car = newBuild("C1", "Component car");
        other = newBuild("C2", "Other car");
    }

    @AfterEach
    void removeAll() throws Exception {
        for (JsonNode component : call(BO, "GET", "/api/components", null).body()) {
            if (component.path("name").asText().startsWith("test ")) {
                call(SEF, "DELETE", "/api/components/" + component.path("id").asText(), null);
            }
        }
        call(MARA, "DELETE", "/api/builds/" + car, null);
        call(MARA, "DELETE", "/api/builds/" + other, null);
    }

    private static Map<String, Object> form(String name, String identity) {
        Map<String, Object> form = new HashMap<>();
        form.put("name", name);
        form.put("identity", identity);
        form.put("before", Map.of("HOURS", 41));
        form.put("limits", List.of(Map.of("counter", "HOURS", "most", 45, "service", true)));
        form.put("safety", false);
        form.put("version", 0);
        return form;
    }

    private String added(Map<String, Object> form) throws Exception {
        Answer answer = call(SEF, "POST", "/api/components", form);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("id").asText();
    }

    private JsonNode component(String id) throws Exception {
        for (JsonNode component : call(BO, "GET", "/api/components", null).body()) {
            if (component.path("id").asText().equals(id)) {
                return component;
            }
        }
        throw new AssertionError("There is no such component.");
    }

    private Answer used(String build, String key, double hours) throws Exception {
        return call(
                BO,
                "POST",
                "/api/builds/" + build + "/uses",
                Map.of(
                        "key",
                        key,
                        "what",
                        "test run",
                        "hours",
                        hours,
                        "km",
                        0,
                        "events",
                        0,
                        "fires",
                        1,
                        "impacts",
                        0,
                        "warm",
                        true));
    }

    private Answer fit(String id, String build) throws Exception {
        return call(BO, "POST", "/api/components/" + id + "/fit", Map.of("buildId", build));
    }

    @Test
    void hoursGoWithTheEngineFromCarToCarAndAreCountedOnce() throws Exception {
        String engine = added(form("test engine", "7"));
        assertThat(fit(engine, car).status()).isEqualTo(204);
        assertThat(used(car, "one", 1.5).status()).isEqualTo(204);
        // The same request again: a thumb that was not sure.
        assertThat(used(car, "one", 1.5).status()).isEqualTo(204);
        assertThat(used(other, "two", 9).status()).isEqualTo(204);
        assertThat(component(engine).path("total").path("HOURS").asDouble()).isCloseTo(42.5, within(1e-9));
        assertThat(fit(engine, other).at("buildId")).contains("C1 Component car", "off there first");
        assertThat(call(BO, "POST", "/api/components/" + engine + "/take-off", null)
                        .status())
                .isEqualTo(204);
        assertThat(used(car, "three", 4).status()).isEqualTo(204);
        assertThat(fit(engine, other).status()).isEqualTo(204);
        Thread.sleep(5);
        assertThat(used(other, "four", 2.5).status()).isEqualTo(204);
        JsonNode life = component(engine);
        assertThat(life.path("total").path("HOURS").asDouble()).isCloseTo(45, within(1e-9));
        assertThat(life.path("due").get(0).path("said").asText()).isEqualTo("45 of 45 h");
        assertThat(life.path("buildId").asText()).isEqualTo(other);
        assertThat(life.path("history").toString()).contains("off C1 Component car", "on C2 Other car");
        // It shuts the gate of the car that it is on, until it has been serviced.
        assertThat(gates(other)).contains("test engine 7: 45 of 45 h");
        assertThat(gates(car)).doesNotContain("test engine 7");
        assertThat(call(BO, "POST", "/api/components/" + engine + "/history", Map.of("kind", "SERVICE"))
                        .status())
                .isEqualTo(204);
        assertThat(gates(other)).doesNotContain("test engine 7");
        assertThat(component(engine).path("total").path("HOURS").asDouble()).isCloseTo(45, within(1e-9));
    }

    private String gates(String build) throws Exception {
        return call(BO, "GET", "/api/builds/" + build + "/gates", null).body().toString();
    }

    /** It is written down and fitted in one act: all of it or nothing, and one step back takes back both. */
    @Test
    void aNewOneIsFittedAtOnceOrNotAtAll() throws Exception {
        Map<String, Object> form = form("test clutch", "3");
        form.put("fittedTo", "no-such-car");
        assertThat(call(SEF, "POST", "/api/components", form).at("buildId")).contains("which car");
        assertThat(call(BO, "GET", "/api/components", null).body().toString()).doesNotContain("test clutch");
        form.put("fittedTo", car);
        assertThat(component(added(form)).path("buildId").asText()).isEqualTo(car);
        assertThat(call(MARA, "GET", "/api/journal", null)
                        .body()
                        .get(0)
                        .path("summary")
                        .asText())
                .isEqualTo("wrote down the component test clutch 3 and fitted it");
        undo(SEF, 1);
        assertThat(call(BO, "GET", "/api/components", null).body().toString()).doesNotContain("test clutch");
    }

    @Test
    void badInputIsRefusedAtItsField() throws Exception {
        Map<String, Object> wrong = form(" ", "");
        wrong.put("before", Map.of("HOURS", -1));
        wrong.put("limits", List.of(Map.of("counter", "HOURS", "most", 0, "service", true)));
        Answer answer = call(SEF, "POST", "/api/components", wrong);
        assertThat(answer.at("name")).contains("What is it");
        assertThat(answer.at("before.HOURS")).contains("0 or more");
        assertThat(answer.at("limits[0].most")).contains("more than 0");
        added(form("test damper", "12"));
        assertThat(call(SEF, "POST", "/api/components", form("test damper", "12"))
                        .at("identity"))
                .contains("There is a component of that name");
        assertThat(used(car, "minus", -2).at("hours")).contains("0 or more");
        assertThat(used(car, "none", 0).status()).as("a fire alone is a use").isEqualTo(204);
        assertThat(call(
                                BO,
                                "POST",
                                "/api/builds/" + car + "/uses",
                                Map.of(
                                        "key",
                                        "x",
                                        "what",
                                        "later",
                                        "hours",
                                        1,
                                        "km",
                                        0,
                                        "events",
                                        0,
                                        "fires",
                                        0,
                                        "impacts",
                                        0,
                                        "warm",
                                        false,
                                        "at",
                                        at(2, "10:00")))
                        .at("at"))
                .contains("not over yet");
    }

    @Test
    void theTableGoesOutAndComesInAgain() throws Exception {
        String table = "name,identity,car,limits,expires,safety,before h\r\n"
                + "test harness,4411,C1 Component car,,2020-01-02,yes,\r\n"
                + "test damper,9,,20 h service; 8 events,,no,12.5\r\n";
        Answer taken = upload(SEF, "/api/components/import", table.getBytes(StandardCharsets.UTF_8));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
        assertThat(taken.body().path("added").asInt()).isEqualTo(2);
        assertThat(gates(car)).contains("test harness 4411: expired 2 Jan 2020", "\"never\":true");
        String csv = new String(
                mvc.perform(MockMvcRequestBuilders.get("/api/components.csv").cookie(session(BO)))
                        .andReturn()
                        .getResponse()
                        .getContentAsByteArray(),
                StandardCharsets.UTF_8);
        assertThat(csv).contains("test damper,9,", "8 events; 20 h service", "12.5");
        Answer again = upload(SEF, "/api/components/import", csv.getBytes(StandardCharsets.UTF_8));
        assertThat(again.status()).as(again.body().toString()).isEqualTo(200);
        assertThat(again.body().path("added").asInt()).isZero();
        Answer wrong = upload(
                SEF,
                "/api/components/import",
                "name,car,limits\r\ntest engine,No such car,\r\ntest box,,forty hours\r\n"
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.at("line 3, limits")).contains("is no limit");
        assertThat(call(BO, "GET", "/api/components", null).body().toString()).doesNotContain("test box");
    }
}
