package galecrest.server.gate;

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

/** Gates over HTTP, at a car of its own. */
class GateTest extends ServerTest {
    private String car;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("G1", "Gate car");
    }

    @AfterEach
    void removeCar() throws Exception {
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private JsonNode gate(String name) throws Exception {
        for (JsonNode gate :
                call(BO, "GET", "/api/builds/" + car + "/gates", null).body()) {
            if (gate.path("gate").asText().equals(name)) {
                return gate;
            }
        }
        throw new AssertionError("There is no gate " + name + ".");
    }

    private Answer sign(String key) throws Exception {
        return call(BO, "PUT", "/api/builds/" + car + "/signatures/" + key, null);
    }

    private Answer pass(Account who, String gate, String did, String looked, String reason) throws Exception {
        Map<String, String> form = new HashMap<>();
        form.put("did", did);
        form.put("looked", looked);
        form.put("reason", reason);
        return call(who, "POST", "/api/builds/" + car + "/gates/" + gate + "/pass", form);
    }

    private void measured(String what, String value) throws Exception {
        call(
                BO,
                "POST",
                "/api/builds/" + car + "/measurements",
                Map.of("gauge", "by-hand", "asked", Map.of("what", what, "value", value)));
    }

    private void done(String name) throws Exception {
        String id = call(SEF, "POST", "/api/builds/" + car + "/capture", Map.of("text", name + " 20m"))
                .body()
                .path("workId")
                .asText();
        assertThat(call(SEF, "POST", "/api/works/" + id + "/done", null).status())
                .isLessThan(300);
    }

    @Test
    void aGateIsShutThenReadyThenPassedThenOpenAgain() throws Exception {
        assertThat(gate("FIRST_FIRE").path("state").asText()).isEqualTo("SHUT");
        assertThat(pass(MARA, "FIRST_FIRE", "Bo", "Sef", "no time").at("gate"))
                .as("fuel that was never under pressure is marked never")
                .contains("Nobody passes this gate", "Fuel pressure held");
        measured("Leak and pressure test", "3.5 bar for 10 min, dry");
        assertThat(sign("first-fire-cranked").status()).isEqualTo(204);
        assertThat(pass(BO, "FIRST_FIRE", "Bo", "Sef", "no time").at("gate")).contains("only a manager");
        assertThat(pass(MARA, "FIRST_FIRE", "Bo", "Sef", " ").at("gate")).contains("Say why");
        assertThat(sign("first-fire-oil").status()).isEqualTo(204);
        assertThat(sign("first-fire-oil").at("key")).contains("Bo has signed this already");
        assertThat(gate("FIRST_FIRE").path("state").asText()).isEqualTo("READY");
        assertThat(pass(BO, "FIRST_FIRE", "Bo", "", "").at("looked")).contains("two names");
        assertThat(pass(BO, "FIRST_FIRE", "Bo", "bo", "").at("looked")).contains("Another");
        assertThat(pass(BO, "FIRST_FIRE", "Bo", "Sef", "").status()).isEqualTo(204);
        assertThat(gate("FIRST_FIRE").path("state").asText()).isEqualTo("PASSED");
        assertThat(pass(BO, "FIRST_FIRE", "Bo", "Sef", "").at("gate")).contains("already");

        done("fuel line at the pump changed");
        JsonNode again = gate("FIRST_FIRE");
        assertThat(again.path("state").asText()).isEqualTo("OPEN_AGAIN");
        assertThat(again.toString()).contains("stale: Fuel line at the pump changed");
        measured("Leak and pressure test", "3.5 bar for 10 min, dry");
        assertThat(gate("FIRST_FIRE").path("state").asText()).isEqualTo("PASSED");
    }

    @Test
    void aSignatureIsVoidOnceWhatItRestsOnIsDisturbed() throws Exception {
        assertThat(sign("ground-brakes").status()).isEqualTo(204);
        done("caliper changed");
        JsonNode line = line("GROUND", "ground-brakes");
        assertThat(line.path("met").asBoolean()).isFalse();
        assertThat(line.path("signedBy").asText()).isEqualTo("Bo");
        assertThat(line.toString()).contains("then disturbed: Caliper changed");
        assertThat(sign("ground-brakes").status()).isEqualTo(204);
        assertThat(line("GROUND", "ground-brakes").path("met").asBoolean()).isTrue();
        assertThat(call(BO, "DELETE", "/api/builds/" + car + "/signatures/ground-brakes", null)
                        .status())
                .isEqualTo(204);
        assertThat(line("GROUND", "ground-brakes").path("met").asBoolean()).isFalse();
    }

    private JsonNode line(String gate, String key) throws Exception {
        for (JsonNode line : gate(gate).path("lines")) {
            if (line.path("key").asText().equals(key)) {
                return line;
            }
        }
        throw new AssertionError("There is no line " + key + ".");
    }

    @Test
    void theHouseAndTheCarHaveListsOfTheirOwn() throws Exception {
        String url = "/api/builds/" + car + "/gate-lines";
        JsonNode usual = call(SEF, "GET", url, null).body();
        assertThat(usual.path("own").asBoolean()).isFalse();
        Map<String, Object> seat = Map.of("gate", "TEST", "text", "Seat fast", "asks", "SIGNED", "never", true);
        Answer kept =
                call(SEF, "PUT", url, Map.of("edition", usual.path("edition").asText(), "lines", List.of(seat)));
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(204);
        assertThat(call(SEF, "PUT", url, Map.of("edition", "other", "lines", List.of(seat)))
                        .status())
                .isEqualTo(409);
        assertThat(call(BO, "GET", "/api/builds/" + car + "/gates", null).body())
                .hasSize(1);
        assertThat(gate("TEST").path("lines").get(0).path("never").asBoolean()).isTrue();
        Answer wrong = call(
                SEF,
                "PUT",
                url,
                Map.of(
                        "edition",
                        call(SEF, "GET", url, null).body().path("edition").asText(),
                        "lines",
                        List.of(Map.of("gate", "TEST", "text", " ", "asks", "MEASURED", "never", false))));
        assertThat(wrong.at("lines[0].text")).contains("Say what is asked");
        assertThat(wrong.at("lines[0].restsOn")).contains("to be measured");
        assertThat(call(SEF, "DELETE", url, null).status()).isEqualTo(204);
        assertThat(gate("EVENT").path("lines").size()).isGreaterThan(3);
    }
}
