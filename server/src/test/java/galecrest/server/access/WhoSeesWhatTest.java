package galecrest.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What each role is shown: hands no prices and nobody else's day; of the journal everybody their part. */
class WhoSeesWhatTest extends ServerTest {
    private static List<String> values(JsonNode things, String field) {
        List<String> values = new ArrayList<>();
        things.forEach(t -> {
            if (t.hasNonNull(field)) {
                values.add(t.get(field).asText());
            }
        });
        return values;
    }

    @Test
    void aHandsBoardHasNoPricesAndNoReasonsOfLeave() throws Exception {
        JsonNode managers = call(MARA, "GET", "/api/board", null).body();
        JsonNode hands = call(BO, "GET", "/api/board", null).body();
        assertThat(values(managers.get("parts"), "price")).isNotEmpty();
        assertThat(values(hands.get("parts"), "price")).isEmpty();
        assertThat(values(managers.get("people"), "costPerHour")).isNotEmpty();
        assertThat(values(hands.get("people"), "costPerHour")).isEmpty();
        List<JsonNode> offers = new ArrayList<>();
        managers.get("vendors").forEach(v -> v.get("offers").forEach(offers::add));
        assertThat(offers).isNotEmpty();
        hands.get("vendors").forEach(v -> assertThat(v.get("offers")).isEmpty());
        hands.get("people").forEach(p -> p.get("changes")
                .forEach(c -> assertThat(c.get("note").asText()).matches("|at .*")));
    }

    /** The news too: what was forgotten of a manager's price is not told to a hand. */
    @Test
    void aPriceThatChangesIsNoNewsToAHand() throws Exception {
        JsonNode before = call(BO, "GET", "/api/board", null).body();
        JsonNode part = find("parts", "name", "oil cooler hoses, −10");
        JsonNode news = call(
                        BO,
                        "GET",
                        "/api/board/news?since=" + before.get("edition").asText(),
                        null)
                .body();
        assertThat(news.toString()).doesNotContain("\"price\"");
        assertThat(part.hasNonNull("price")).isTrue();
    }

    @Test
    void aHandSeesNobodyElsesDay() throws Exception {
        assertThat(call(BO, "GET", "/api/my-day?person=bo", null).status()).isEqualTo(200);
        assertThat(call(BO, "GET", "/api/my-day?person=ina", null).status()).isEqualTo(403);
        assertThat(call(SEF, "GET", "/api/my-day?person=ina", null).status()).isEqualTo(200);
    }

    @Test
    void ofTheJournalEverybodyHasTheirPart() throws Exception {
        String car = find("cars", "number", "61").get("id").asText();
        assertThat(call(MARA, "POST", "/api/ledger/" + car + "/payments", Map.of("amount", 10, "note", "at hand"))
                        .status())
                .isEqualTo(204);
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/ledger/" + car + "/changes",
                                Map.of(
                                        "title",
                                        "A dearer wing",
                                        "note",
                                        "",
                                        "hours",
                                        1,
                                        "skill",
                                        "fit",
                                        "gate",
                                        "EVENT",
                                        "parts",
                                        10,
                                        "outwork",
                                        0))
                        .status())
                .isEqualTo(200);
        assertThat(journal(MARA)).anyMatch(s -> s.contains("payment")).anyMatch(s -> s.contains("A dearer wing"));
        assertThat(journal(SEF)).noneMatch(s -> s.contains("payment")).anyMatch(s -> s.contains("A dearer wing"));
        assertThat(journal(BO)).noneMatch(s -> s.contains("payment")).noneMatch(s -> s.contains("A dearer wing"));
        undo(MARA, 2);
        assertThat(journal(BO)).as("nor that it was undone").noneMatch(s -> s.contains("A dearer wing"));
    }

    private List<String> journal(Account who) throws Exception {
        return values(call(who, "GET", "/api/journal?most=20", null).body(), "summary");
    }

    /** Pages follow on each other without a gap and without a line twice. */
    @Test
    void theJournalHasPages() throws Exception {
        List<String> whole =
                values(call(MARA, "GET", "/api/journal?most=30", null).body(), "id");
        List<String> pages = new ArrayList<>();
        while (pages.size() < whole.size()) {
            String before = pages.isEmpty() ? "" : "&before=" + pages.get(pages.size() - 1);
            List<String> page = values(
                    call(MARA, "GET", "/api/journal?most=7" + before, null).body(), "id");
            if (page.isEmpty()) {
                break;
            }
            pages.addAll(page);
        }
        assertThat(pages.subList(0, whole.size())).isEqualTo(whole);
    }
}
