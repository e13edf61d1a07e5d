package galecrest.server.rules;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What other house rules would do, before they are kept. */
class RulesPreviewTest extends ServerTest {
    private ObjectNode rules() throws Exception {
        return (ObjectNode) call(MARA, "GET", "/api/shop", null).body();
    }

    @Test
    void theSameRulesMoveNothing() throws Exception {
        JsonNode same = call(MARA, "POST", "/api/shop/preview", rules()).body();
        assertThat(same.get("movedAtOnce").asInt()).isZero();
        assertThat(same.get("moved").asInt()).isZero();
        assertThat(same.get("effects")).isEmpty();
    }

    /** One car at a time moves much; what is asked is not kept, and what is said of the dates is what differs. */
    @Test
    void otherRulesSayWhatMovesAndKeepNothing() throws Exception {
        String before = record();
        ObjectNode form = rules();
        form.put("carInBits", 20).put("finishDay", 5).put("tieBreak", "ONE_CAR_AT_A_TIME");
        Answer preview = call(MARA, "POST", "/api/shop/preview", form);
        assertThat(preview.status()).isEqualTo(200);
        assertThat(preview.body().get("moved").asInt()).isPositive();
        for (JsonNode effect : preview.body().get("effects")) {
            assertThat(effect.get("beforeMinutes")).isNotEqualTo(effect.get("afterMinutes"));
        }
        assertThat(rules()).isNotEqualTo(form);
        assertThat(record()).isEqualTo(before);
        assertThat(call(MARA, "POST", "/api/shop/preview", form).body())
                .as("asked again, the same")
                .isEqualTo(preview.body());
    }

    @Test
    void badRulesAndOtherPeopleAreRefused() throws Exception {
        assertThat(call(MARA, "POST", "/api/shop/preview", rules().put("frozenDays", 30))
                        .at("frozenDays"))
                .contains("14 days");
        assertThat(call(SEF, "POST", "/api/shop/preview", rules()).status()).isEqualTo(403);
    }

    /** Each school can be kept as it is, and no two are alike. */
    @Test
    void theSchoolsAreRules() throws Exception {
        Set<String> seen = new HashSet<>();
        for (JsonNode school : call(SEF, "GET", "/api/shop/schools", null).body()) {
            ObjectNode form = rules();
            school.properties().forEach(e -> {
                if (form.has(e.getKey())) {
                    form.set(e.getKey(), e.getValue());
                }
            });
            assertThat(seen.add(form.toString())).isTrue();
            assertThat(school.get("why").asText()).endsWith(".");
            assertThat(call(MARA, "PUT", "/api/shop", form).status()).isEqualTo(204);
            undo(MARA, 1);
        }
        assertThat(seen).hasSize(4);
    }

    /** Sentences, the wall and the board follow the order of days and the clock that the shop goes by. */
    @Test
    void daysAndTimesAreWrittenAsTheShopDoes() throws Exception {
        ObjectNode form = rules();
        assertThat(call(MARA, "PUT", "/api/shop", form.put("monthFirst", true).put("twelveHours", true))
                        .status())
                .isEqualTo(204);
        JsonNode board = board();
        assertThat(board.at("/says/monthFirst").asBoolean()).isTrue();
        StringBuilder said = new StringBuilder();
        board.get("works")
                .forEach(w -> said.append(w.at("/placed/said").asText()).append('\n'));
        assertThat(said.toString()).containsPattern("[A-Z][a-z]{2} [A-Z][a-z]{2} \\d{1,2} \\d{1,2}:\\d\\d [ap]m");
        assertThat(said.toString()).doesNotContainPattern("\\b\\d{1,2} [A-Z][a-z]{2} \\d\\d:\\d\\d");
        undo(MARA, 1);
    }
}
