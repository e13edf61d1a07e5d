package galecrest.server.vendor;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A vendor with its hours, closures, price list and offered times, from being noted to being removed. */
class VendorTest extends ServerTest {
    private static Map<String, Object> form(String name) {
        return new HashMap<>(Map.of(
                "name",
                name,
                "trade",
                "spinning",
                "phone",
                "0100 22",
                "email",
                "spin@foundry.example",
                "hours",
                List.of(Map.of("day", 1, "start", "08:00", "end", "17:00")),
                "closures",
                List.of(Map.of("from", day(29), "to", day(36), "reason", "holidays")),
                "offers",
                List.of(Map.of("what", "cone", "price", 120, "lowDays", 2, "likelyDays", 3, "highDays", 6)),
                "slots",
                List.of(Map.of("from", at(12, "09:00"), "to", at(12, "12:00"), "note", "morning")),
                "version",
                0));
    }

    private String added() throws Exception {
        return call(MARA, "POST", "/api/vendors", form("Spun Works"))
                .body()
                .get("id")
                .asText();
    }

    @Test
    void aVendorIsNotedWithAllThatIsKnownOfIt() throws Exception {
        String before = record();
        assertThat(call(BO, "POST", "/api/vendors", form("Spun Works")).status())
                .isEqualTo(403);
        JsonNode vendor = find("vendors", "id", added());
        assertThat(vendor.get("name").asText()).isEqualTo("Spun Works");
        assertThat(vendor.at("/hours/0/start").asText()).startsWith("08:00");
        assertThat(vendor.at("/closures/0/reason").asText()).isEqualTo("holidays");
        assertThat(vendor.at("/offers/0/highDays").asInt()).isEqualTo(6);
        assertThat(vendor.at("/times/0/note").asText()).isEqualTo("morning");
        assertThat(vendor.at("/times/0/taken").asBoolean()).isFalse();
        assertThat(vendor.get("deliveries").asInt()).isZero();
        undo(MARA, 1);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void aChangeReplacesItsLinesAndKeepsTheTimesThatStay() throws Exception {
        String id = added();
        JsonNode vendor = find("vendors", "id", id);
        String time = vendor.at("/times/0/id").asText();
        Map<String, Object> changed = form("Spun & Sons");
        changed.put("version", vendor.get("version").asInt());
        changed.put("hours", List.of());
        changed.put(
                "offers",
                List.of(
                        Map.of("what", "tank", "lowDays", 5, "likelyDays", 6, "highDays", 7),
                        Map.of("what", "cone", "price", 130, "lowDays", 2, "likelyDays", 3, "highDays", 6)));
        changed.put(
                "slots",
                List.of(
                        Map.of("id", time, "from", at(12, "09:00"), "to", at(12, "10:00"), "note", ""),
                        Map.of("from", at(13, "09:00"), "to", at(13, "12:00"), "note", "")));
        assertThat(call(MARA, "PUT", "/api/vendors/" + id, changed).status()).isEqualTo(204);
        JsonNode after = find("vendors", "id", id);
        assertThat(after.get("name").asText()).isEqualTo("Spun & Sons");
        assertThat(after.get("hours")).isEmpty();
        assertThat(after.at("/offers/0/what").asText())
                .as("in the order of the list")
                .isEqualTo("tank");
        assertThat(after.at("/offers/0").hasNonNull("price")).isFalse();
        assertThat(after.get("times")).hasSize(2);
        assertThat(after.at("/times/0/id").asText()).isEqualTo(time);
        assertThat(call(MARA, "PUT", "/api/vendors/" + id, changed).status())
                .as("it has another version by now")
                .isEqualTo(409);
        undo(MARA, 1);
        assertThat(find("vendors", "id", id).get("name").asText()).isEqualTo("Spun Works");
        undo(MARA, 1);
    }

    @Test
    void whatIsNotThereCannotBeChangedAndWhatIsNotUsedCanGo() throws Exception {
        String before = record();
        String id = added();
        assertThat(call(MARA, "DELETE", "/api/vendors/" + id, null).status()).isEqualTo(204);
        assertThat(call(MARA, "PUT", "/api/vendors/" + id, form("Spun Works")).status())
                .isEqualTo(404);
        assertThat(call(MARA, "DELETE", "/api/vendors/" + id, null).status()).isEqualTo(404);
        assertThat(record()).isEqualTo(before);
        undo(MARA, 1);
        assertThat(find("vendors", "id", id).at("/offers/0/what").asText()).isEqualTo("cone");
        undo(MARA, 1);
        assertThat(record()).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({
        "name, ' ', name, needs a name",
        "email, nobody, email, no mail address",
        "hours.day, 8, hours.0, end before they start",
        "hours.end, 07:00, hours.0, end before they start",
        "closures.to, before, closures.0, ends before it starts",
        "offers.what, ' ', offers.0.what, What is it",
        "offers.lowDays, 4, offers.0.lowDays, low ≤ likely ≤ high",
        "offers.highDays, 400, offers.0.lowDays, up to 250 working days",
        "offers.price, -3, offers.0.price, between 0 and",
        "slots.to, at once, slots.0, ends before it starts"
    })
    void whatIsWrongIsSaidAtItsField(String where, String value, String at, String said) throws Exception {
        String before = record();
        Map<String, Object> form = form("Spun Works");
        String[] path = where.split("\\.");
        if (path.length == 1) {
            form.put(where, value);
        } else {
            Map<String, Object> line = new HashMap<>((Map<String, Object>) ((List<?>) form.get(path[0])).get(0));
            Object wrong =
                    switch (value) {
                        case "before" -> day(6);
                        case "at once" -> at(12, "09:00");
                        default -> value.matches("-?\\d+") ? (Object) Integer.valueOf(value) : value;
                    };
            line.put(path[1], wrong);
            form.put(path[0], List.of(line));
        }
        Answer answer = call(MARA, "POST", "/api/vendors", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at(at)).contains(said);
        assertThat(record()).isEqualTo(before);
    }
}
