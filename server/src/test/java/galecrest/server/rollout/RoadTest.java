package galecrest.server.rollout;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.core.gauge.Measured;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A new car by the usual list, from power-up to its first longer drive: every gate and every step, by two people. */
class RoadTest extends ServerTest {
    private String car;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("W1", "Road car");
    }

    @AfterEach
    void removeCar() throws Exception {
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private String url(String what) {
        return "/api/builds/" + car + "/" + what;
    }

    private JsonNode gate(String name) throws Exception {
        for (JsonNode gate : call(BO, "GET", url("gates"), null).body()) {
            if (gate.path("gate").asText().equals(name)) {
                return gate;
            }
        }
        throw new AssertionError("There is no gate " + name + ".");
    }

    /** Makes all so that a gate asks for, and passes it. */
    private void pass(String name) throws Exception {
        assertThat(gate(name).path("state").asText()).as(name).isEqualTo("SHUT");
        for (Measured what : Measured.values()) {
            if (what.gate().name().equals(name)) {
                call(
                        BO,
                        "POST",
                        url("measurements"),
                        Map.of("gauge", "by-hand", "asked", Map.of("what", what.label(), "value", "as it should be")));
            }
        }
        for (JsonNode line : gate(name).path("lines")) {
            if (line.path("asks").asText().equals("SIGNED") && !line.path("met").asBoolean()) {
                assertThat(call(BO, "PUT", url("signatures/" + line.path("key").asText()), null)
                                .status())
                        .isEqualTo(204);
            }
        }
        JsonNode ready = gate(name);
        assertThat(ready.path("state").asText()).as(ready.toString()).isEqualTo("READY");
        assertThat(call(BO, "POST", url("gates/" + name + "/pass"), Map.of("did", "Bo", "looked", "Sef", "reason", ""))
                        .status())
                .isEqualTo(204);
    }

    private void tick(String attempt, JsonNode checks, boolean after) throws Exception {
        int nth = 0;
        for (JsonNode check : checks) {
            Account who = nth++ % 2 == 0 ? BO : SEF;
            Answer ticked = call(
                    who,
                    "PUT",
                    "/api/rollout-attempts/" + attempt + "/ticks",
                    Map.of("check", check.asText(), "after", after, "ticked", true));
            assertThat(ticked.status()).as(ticked.body().toString()).isEqualTo(204);
        }
    }

    /** Takes the car through a step; what holds it until then is said. */
    private void take(String key, JsonNode steps, double km) throws Exception {
        JsonNode step = null;
        for (JsonNode each : steps) {
            step = each.path("key").asText().equals(key) ? each : step;
        }
        assertThat(step).as(key).isNotNull();
        Answer begun = call(BO, "POST", url("rollout/attempts"), Map.of("step", key));
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
        String attempt = begun.body().path("id").asText();
        String at = "/api/rollout-attempts/" + attempt;
        tick(attempt, step.path("before"), false);
        call(BO, "PUT", at + "/names", Map.of("driver", "Bo"));
        call(SEF, "PUT", at + "/names", Map.of("looker", "Sef"));
        Answer go = call(BO, "POST", at + "/go", Map.of());
        assertThat(go.status()).as(key + ": " + go.body()).isEqualTo(204);
        tick(attempt, step.path("after"), true);
        Map<String, Object> end = new HashMap<>();
        end.put("done", true);
        end.put("km", km);
        end.put("warm", true);
        Answer ended = call(SEF, "POST", at + "/end", end);
        assertThat(ended.status()).as(key + ": " + ended.body()).isEqualTo(204);
    }

    @Test
    void fromPowerUpToTheLongerDrive() throws Exception {
        JsonNode steps = call(BO, "GET", url("rollout-steps"), null).body().path("steps");
        Answer early = call(BO, "POST", url("rollout/attempts"), Map.of("step", "first-fire"));
        String attempt = early.body().path("id").asText();
        Answer go = call(BO, "POST", "/api/rollout-attempts/" + attempt + "/go", Map.of());
        assertThat(go.body().toString()).contains("power up", "first fire");
        assertThat(call(BO, "DELETE", "/api/rollout-attempts/" + attempt, null).status())
                .isEqualTo(204);

        pass("POWER_UP");
        pass("FIRST_FIRE");
        take("first-fire", steps, 0);
        take("idle", steps, 0);
        pass("GROUND");
        take("ten-metres", steps, 0.01);
        pass("ROLL_OUT");
        take("block", steps, 0.8);
        take("cold-again", steps, 0);
        take("longer", steps, 15);

        JsonNode now = call(BO, "GET", url("rollout"), null).body();
        List<String> done = new ArrayList<>();
        now.path("steps").forEach(s -> {
            if (s.path("done").asBoolean()) {
                done.add(s.path("key").asText());
            }
        });
        assertThat(done).containsExactly("first-fire", "idle", "ten-metres", "block", "cold-again", "longer");
        assertThat(now.path("here").asText()).isEqualTo("running-in");
        assertThat(now.path("over")).hasSize(6);
    }
}
