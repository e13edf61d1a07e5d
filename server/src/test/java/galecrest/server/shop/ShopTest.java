package galecrest.server.shop;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** House rules and stations: the plan follows them, and what makes no sense is refused at its field. */
class ShopTest extends ServerTest {
    private ObjectNode rules() throws Exception {
        return (ObjectNode) call(MARA, "GET", "/api/shop", null).body();
    }

    private static Map<String, Object> station(String name, String kind, int version, Object... closures) {
        return new HashMap<>(Map.of("name", name, "kind", kind, "version", version, "closures", List.of(closures)));
    }

    private void undo() throws Exception {
        assertThat(call(MARA, "POST", "/api/undo", null).status()).isLessThan(300);
    }

    @ParameterizedTest
    @CsvSource({
        "name, '  ', needs a name",
        "zone, Atlantis/Capital, no time zone",
        "atRiskStart, -1, between 0 and 1000",
        "toldOtherwise, 1001, between 0 and 1000",
        "carInBits, -0.5, between 0 and 1000",
        "finishDay, 5000, between 0 and 1000",
        "unknownArrivalDays, 366, 365 days",
        "frozenDays, 15, 14 days",
        "bufferHours, -1, 400 h",
        "returnWrong, 1.5, between 0 and 1",
        "stayOnMinutes, 481, 0 to 8 h"
    })
    void rulesThatMakeNoSense(String field, String value, String said) throws Exception {
        String before = record();
        ObjectNode form = rules();
        if (form.get(field).isTextual()) {
            form.put(field, value);
        } else {
            form.set(field, json.readTree(value));
        }
        Answer answer = call(MARA, "PUT", "/api/shop", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at(field)).contains(said);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void rulesAreKeptAndUndone() throws Exception {
        ObjectNode before = rules();
        ObjectNode form = before.deepCopy();
        form.put("bufferHours", before.get("bufferHours").asInt() + 3);
        form.put("tieBreak", "ONE_CAR_AT_A_TIME");
        assertThat(call(MARA, "PUT", "/api/shop", form).status()).isEqualTo(204);
        assertThat(rules().get("bufferHours")).isEqualTo(form.get("bufferHours"));
        assertThat(rules().get("tieBreak").asText()).isEqualTo("ONE_CAR_AT_A_TIME");
        assertThat(call(MARA, "PUT", "/api/shop", form).status())
                .as("somebody else's form is stale now")
                .isEqualTo(409);
        undo();
        assertThat(rules().get("bufferHours")).isEqualTo(before.get("bufferHours"));
        assertThat(rules().get("tieBreak")).isEqualTo(before.get("tieBreak"));
    }

    @Test
    void otherWeightsAreOtherScores() throws Exception {
        ObjectNode form = rules();
        double before = board().at("/score/finishing").asDouble();
        form.put("finishDay", 3 * form.get("finishDay").asDouble());
        assertThat(call(MARA, "PUT", "/api/shop", form).status()).isEqualTo(204);
        assertThat(board().at("/score/finishing").asDouble()).isGreaterThan(1.5 * before);
        undo();
    }

    @Test
    void handsDoNotChangeRules() throws Exception {
        assertThat(call(BO, "PUT", "/api/shop", rules()).status()).isEqualTo(403);
        assertThat(call(SEF, "POST", "/api/stations", station("Pit", "pit", 0)).status())
                .isEqualTo(403);
    }

    @Test
    void aStationIsSetUpShutAndTakenDown() throws Exception {
        Map<String, Object> shut = Map.of("from", day(6), "to", day(8), "reason", "the floor is painted");
        Answer added = call(MARA, "POST", "/api/stations", station("Lift three", "lift", 0, shut));
        assertThat(added.status()).isEqualTo(200);
        String id = added.body().get("id").asText();
        JsonNode there = find("stations", "id", id);
        assertThat(there.at("/closures/0/reason").asText()).isEqualTo("the floor is painted");
        List<String> away = StreamSupport.stream(board().get("loads").spliterator(), false)
                .filter(load -> load.path("stationId").asText().equals(id))
                .filter(load -> load.get("away").asBoolean())
                .map(load -> load.get("day").asText())
                .toList();
        assertThat(away).containsExactly(day(6), day(7), day(8));
        Map<String, Object> renamed =
                station("Lift by the door", "lift", there.get("version").asInt());
        assertThat(call(MARA, "PUT", "/api/stations/" + id, renamed).status()).isEqualTo(204);
        assertThat(find("stations", "id", id).get("closures")).isEmpty();
        assertThat(call(MARA, "PUT", "/api/stations/" + id, renamed).status())
                .as("the version has moved on")
                .isEqualTo(409);
        assertThat(call(MARA, "DELETE", "/api/stations/" + id, null).status()).isEqualTo(204);
        assertThat(call(MARA, "DELETE", "/api/stations/" + id, null).status()).isEqualTo(404);
        undo();
        undo();
        undo();
    }

    @Test
    void stationsThatMakeNoSense() throws Exception {
        String before = record();
        assertThat(call(MARA, "POST", "/api/stations", station(" ", "lift", 0)).at("name"))
                .contains("needs a name");
        assertThat(call(MARA, "POST", "/api/stations", station("Lift three", "", 0))
                        .at("kind"))
                .contains("needs a kind");
        Map<String, Object> backwards = Map.of("from", day(8), "to", day(6), "reason", "");
        assertThat(call(MARA, "POST", "/api/stations", station("Lift three", "lift", 0, backwards))
                        .at("closures.0"))
                .contains("ends before it starts");
        Map<String, Object> one = Map.of("from", day(6), "to", day(8), "reason", "");
        Map<String, Object> other = Map.of("from", day(8), "to", day(9), "reason", "");
        assertThat(call(MARA, "POST", "/api/stations", station("Lift three", "lift", 0, one, other))
                        .at("closures"))
                .contains("overlap");
        Map<String, Object> open = Map.of("to", day(8), "reason", "");
        assertThat(call(MARA, "POST", "/api/stations", station("Lift three", "lift", 0, open))
                        .at("closures.0.from"))
                .contains("missing");
        assertThat(call(MARA, "PUT", "/api/stations/none", station("Lift three", "lift", 0))
                        .status())
                .isEqualTo(404);
        assertThat(record()).isEqualTo(before);
    }
}
