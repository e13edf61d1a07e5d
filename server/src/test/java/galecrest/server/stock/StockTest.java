package galecrest.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The supply run, and what lies on the shelf. */
class StockTest extends ServerTest {
    private JsonNode of(String list, String id) throws Exception {
        return StreamSupport.stream(
                        call(SEF, "GET", "/api/desk", null).body().get(list).spliterator(), false)
                .filter(s -> s.get("id").asText().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, Object> shelf(String name, int quantity) {
        return new HashMap<>(Map.of("name", name, "place", "rack 3", "quantity", quantity, "least", 2, "version", 0));
    }

    @Test
    void whatAHandAsksForIsBoughtOrTakenOffTheRun() throws Exception {
        String before = record();
        String car = find("cars", "number", "112").get("id").asText();
        assertThat(call(BO, "POST", "/api/supplies", Map.of("name", " ", "quantity", "", "boughtFrom", ""))
                        .at("name"))
                .contains("What is to be bought");
        String id = call(
                        BO,
                        "POST",
                        "/api/supplies",
                        Map.of("name", "brake fluid", "quantity", "2 l", "boughtFrom", "stores", "buildId", car))
                .body()
                .get("id")
                .asText();
        JsonNode asked = of("supplies", id);
        assertThat(asked.get("askedBy").asText()).isEqualTo("Bo");
        assertThat(asked.get("buildId").asText()).isEqualTo(car);
        assertThat(asked.hasNonNull("boughtAt")).isFalse();
        call(SEF, "POST", "/api/supplies/" + id + "/bought", Map.of("bought", true));
        assertThat(of("supplies", id).get("boughtBy").asText()).isEqualTo("Sef");
        call(SEF, "POST", "/api/supplies/" + id + "/bought", Map.of("bought", false));
        assertThat(of("supplies", id).hasNonNull("boughtAt"))
                .as("ticked back off")
                .isFalse();
        assertThat(call(SEF, "DELETE", "/api/supplies/" + id, null).status()).isEqualTo(204);
        assertThat(call(SEF, "POST", "/api/supplies/" + id + "/bought", Map.of("bought", true))
                        .status())
                .isEqualTo(404);
        undo(SEF, 3);
        undo(BO, 1);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void theShelfIsCountedButNeverBelowWhatIsReserved() throws Exception {
        String before = record();
        String id = call(MARA, "POST", "/api/shelf", shelf("rod ends, M12", 8))
                .body()
                .get("id")
                .asText();
        JsonNode there = of("shelf", id);
        assertThat(there.get("quantity").asInt()).isEqualTo(8);
        assertThat(there.get("reserved").asInt()).isZero();
        JsonNode studs = find("parts", "name", "studded tyres, 8");
        String take = "/api/parts/" + studs.get("id").asText() + "/take";
        assertThat(call(MARA, "POST", take, Map.of("shelfId", id)).status()).isEqualTo(204);
        int reserved = of("shelf", id).get("reserved").asInt();
        assertThat(reserved).isEqualTo(studs.get("quantity").asInt());
        Map<String, Object> fewer = shelf("rod ends, M12", reserved - 1);
        fewer.put("version", of("shelf", id).get("version").asInt());
        assertThat(call(MARA, "PUT", "/api/shelf/" + id, fewer).at("quantity")).contains("are reserved");
        fewer.put("quantity", reserved + 1);
        assertThat(call(MARA, "PUT", "/api/shelf/" + id, fewer).status()).isEqualTo(204);
        assertThat(call(MARA, "PUT", "/api/shelf/" + id, fewer).status())
                .as("counted meanwhile")
                .isEqualTo(409);
        undo(MARA, 3);
        assertThat(record()).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({"name, ' ', What is it", "quantity, -1, Between 0 and", "least, 200000, Between 0 and 100 000"})
    void whatCannotLieThereIsRefused(String field, String value, String said) throws Exception {
        Map<String, Object> form = shelf("rod ends", 3);
        form.put(field, field.equals("name") ? value : (Object) Integer.valueOf(value));
        Answer answer = call(MARA, "POST", "/api/shelf", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at(field)).contains(said);
    }
}
