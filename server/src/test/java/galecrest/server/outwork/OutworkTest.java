package galecrest.server.outwork;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

class OutworkTest extends ServerTest {
    @Test
    void anUnfinishedChecklistIsWarnedOfAndOnReturnTheJobsFollow() throws Exception {
        String before = record();
        String paint = find("works", "name", "Shell painted").get("id").asText();
        String path = "/api/outworks/" + paint;
        JsonNode sheet = call(SEF, "GET", path, null).body();
        String first = sheet.at("/send/0/item").asText();
        assertThat(call(
                                BO,
                                "POST",
                                path + "/checks",
                                Map.of("side", "SEND", "item", first, "done", true, "answer", "6"))
                        .status())
                .isEqualTo(204);
        assertThat(call(
                                BO,
                                "POST",
                                path + "/checks",
                                Map.of("side", "SEND", "item", "else", "done", true, "answer", ""))
                        .at("item"))
                .contains("not on the checklist");
        Answer warned = call(MARA, "POST", path + "/send", Map.of("anyway", false));
        assertThat(warned.status()).isEqualTo(422);
        assertThat(warned.at("checklist"))
                .startsWith("4 of the checklist are open")
                .doesNotContain(first);
        assertThat(call(MARA, "POST", path + "/return", Map.of("jobs", List.of(), "limits", ""))
                        .at("return"))
                .contains("not away");
        assertThat(call(MARA, "POST", path + "/send", Map.of("anyway", true)).status())
                .isEqualTo(204);
        assertThat(find("works", "id", paint).get("status").asText()).isEqualTo("STARTED");
        int deliveries = find("vendors", "id", "slip").get("deliveries").asInt();
        Answer back = call(
                MARA,
                "POST",
                path + "/return",
                Map.of("jobs", List.of("Trial fit after coating", "Chase threads and sensor holes"), "limits", ""));
        assertThat(back.body().get("jobs")).hasSize(2);
        JsonNode trial = find("works", "name", "Trial fit after coating");
        assertThat(trial.has("placed")).isTrue();
        assertThat(find("vendors", "id", "slip").get("deliveries").asInt()).isEqualTo(deliveries + 1);
        undo(MARA, 2);
        call(BO, "POST", "/api/undo", null);
        assertThat(record()).isEqualTo(before);
    }

    /** The tuner offers three times; booking one says what it does, keeps the others open and is given back again. */
    @Test
    void aTimeThatTheVendorOffersIsBookedAndGivenBack() throws Exception {
        String before = record();
        String session = workOf("112", "Rolling road session").get("id").asText();
        String path = "/api/outworks/" + session;
        JsonNode slots = call(SEF, "GET", path + "/slots", null).body();
        assertThat(slots.get("offered")).hasSize(3);
        JsonNode last = slots.get("offered").get(2);
        assertThat(last.get("missed").asBoolean()).isFalse();
        assertThat(slots.get("offered").get(0).get("missed").asBoolean())
                .as("the shaft comes on the day of the first one")
                .isTrue();
        assertThat(last.get("effect").toString()).contains("beforeMinutes");
        assertThat(record()).as("looking changes nothing").isEqualTo(before);
        Map<String, Object> book = Map.of("slotId", last.get("id").asText());
        assertThat(call(BO, "POST", path + "/slot", book).status()).isEqualTo(403);
        assertThat(call(SEF, "POST", path + "/slot", book).status()).isEqualTo(204);
        assertThat(workOf("112", "Rolling road session").at("/placed/start").asText())
                .isEqualTo(last.get("leaveBy").asText());
        assertThat(call(SEF, "GET", path + "/slots", null).body().get("offered"))
                .as("the booked time is nobody else's")
                .hasSize(2);
        assertThat(call(SEF, "POST", path + "/slot", book).at("slotId")).contains("not offered any more");
        assertThat(call(SEF, "POST", path + "/slot", Map.of()).status()).isEqualTo(204);
        assertThat(call(SEF, "GET", path + "/slots", null).body().get("offered"))
                .hasSize(3);
        undo(SEF, 2);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void outsideWorkGoesOutAsATableAndComesBackTheSame() throws Exception {
        String before = record();
        String car = find("cars", "number", "112").get("id").asText();
        String path = "/api/builds/" + car;
        String table = mvc.perform(
                        MockMvcRequestBuilders.get(path + "/outwork.csv").cookie(session(SEF)))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(table)
                .contains("Rolling road session,Quay Rolling Road,yes,roll out,%1$s 09:00,%1$s 16:00,1,2,4"
                        .formatted(workday(11)));
        String one = table.lines().findFirst().orElseThrow() + "\r\n"
                + table.lines()
                        .filter(l -> l.startsWith("Manifold"))
                        .findFirst()
                        .orElseThrow() + "\r\n";
        assertThat(upload(SEF, path + "/outwork/import", one.getBytes(StandardCharsets.UTF_8))
                        .body()
                        .get("works")
                        .asInt())
                .isEqualTo(1);
        String twice = mvc.perform(
                        MockMvcRequestBuilders.get(path + "/outwork.csv").cookie(session(SEF)))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(twice.lines().filter(l -> l.startsWith("Manifold")).distinct())
                .hasSize(1);
        call(SEF, "POST", "/api/undo", null);
        String wrong = """
                work,vendor,gate,slot from,slot to,days likely,price
                ,Nobody & Sons,the moon,tomorrow,,many,free
                Zinc,Harbour Coatings,event,2026-12-10 09:00,2026-12-10 08:00,2,-4
                """;
        Answer answer = upload(SEF, path + "/outwork/preview", wrong.getBytes(StandardCharsets.UTF_8));
        for (String field : List.of(
                "line 2, name",
                "line 2, vendor",
                "line 2, gate",
                "line 2, slot from",
                "line 2, days likely",
                "line 2, price",
                "line 3, slotTo",
                "line 3, price")) {
            assertThat(answer.at(field)).as(field).isNotEmpty();
        }
        assertThat(upload(SEF, path + "/outwork/import", wrong.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(422);
        assertThat(record()).isEqualTo(before);
    }

    /** Also where it is ticked off like a job, the vendor's record hears of it. */
    @Test
    void aReturnTickedOffLikeAJobCountsInTheRecord() throws Exception {
        String before = record();
        String paint = find("works", "name", "Shell painted").get("id").asText();
        int deliveries = find("vendors", "id", "slip").get("deliveries").asInt();
        call(MARA, "POST", "/api/outworks/" + paint + "/send", Map.of("anyway", true));
        assertThat(call(MARA, "POST", "/api/works/" + paint + "/done", null).status())
                .isEqualTo(204);
        assertThat(find("vendors", "id", "slip").get("deliveries").asInt()).isEqualTo(deliveries + 1);
        undo(MARA, 2);
        assertThat(record()).isEqualTo(before);
    }
}
