package galecrest.server.journal;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;

class UndoTest extends ServerTest {
    private ObjectNode flangeForm() throws Exception {
        return find("parts", "name", "coated exhaust flange").deepCopy();
    }

    private void moveFlange(galecrest.server.access.Account by, int days) throws Exception {
        ObjectNode form = flangeForm();
        for (String field : new String[] {"arrivalLow", "arrivalLikely", "arrivalHigh"}) {
            form.put(
                    field,
                    Instant.parse(form.get(field).asText())
                            .plus(Duration.ofDays(days))
                            .toString());
        }
        assertThat(call(by, "PUT", "/api/parts/" + form.get("id").asText(), form)
                        .status())
                .isEqualTo(204);
    }

    private long marginOfTheFourHours() throws Exception {
        return find("commitments", "name", "Four hours of Crane Moor")
                .get("marginMinutes")
                .asLong();
    }

    @Test
    void aWholeMorningCanBeTakenBack() throws Exception {
        String before = record();
        long margin = marginOfTheFourHours();
        moveFlange(MARA, 3);
        assertThat(marginOfTheFourHours()).isLessThan(margin);
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/people/sef/shift-changes",
                                Map.of("kind", "LEAVE", "from", day(1), "to", day(2), "note", "ill"))
                        .status())
                .isEqualTo(200);
        JsonNode work = workOf("8", "Engine loom in");
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/pins",
                                Map.of("workId", work.get("id").asText(), "kind", "PERSON", "personId", "kit"))
                        .status())
                .isEqualTo(200);
        String car = find("cars", "number", "440").get("id").asText();
        assertThat(call(MARA, "DELETE", "/api/builds/" + car, null).status()).isEqualTo(204);
        for (int i = 0; i < 4; i++) {
            assertThat(call(MARA, "POST", "/api/undo", null).status()).isEqualTo(200);
        }
        assertThat(record()).isEqualTo(before);
        assertThat(marginOfTheFourHours()).isEqualTo(margin);
        JsonNode journal = call(MARA, "GET", "/api/journal", null).body();
        assertThat(journal.get(0).get("summary").asText()).startsWith("undid: coated exhaust flange now arrives");
    }

    @Test
    void whatSomebodyElseHasChangedSinceIsNotOverwritten() throws Exception {
        moveFlange(MARA, 1);
        ObjectNode part = flangeForm();
        part.put("specification", "Another coater");
        assertThat(call(SEF, "PUT", "/api/parts/" + part.get("id").asText(), part)
                        .status())
                .isEqualTo(204);
        Answer undo = call(MARA, "POST", "/api/undo", null);
        assertThat(undo.status()).isEqualTo(422);
        assertThat(undo.at("undo")).contains("somebody has changed the same since");
        assertThat(flangeForm().get("specification").asText()).isEqualTo("Another coater");
        call(SEF, "POST", "/api/undo", null);
        call(MARA, "POST", "/api/undo", null);
    }

    private void importJobs(int lines) throws Exception {
        StringBuilder sheet = new StringBuilder("ref,job,zone,likely_min,crew,after\r\n");
        for (int i = 0; i < lines; i++) {
            sheet.append("u%d,Line %d,rear,30,fit,%s\r\n".formatted(i, i, i % 10 == 0 ? "" : "u" + (i - 1)));
        }
        String car = find("cars", "number", "112").get("id").asText();
        assertThat(upload(
                                MARA,
                                "/api/builds/" + car + "/jobs/import",
                                sheet.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(200);
    }

    /** So many rows are taken out table by table, and only all of them. */
    @Test
    void aLargeImportIsUndoneWholeOrNotAtAll() throws Exception {
        String before = record();
        importJobs(150);
        String line = workOf("112", "Line 77").get("id").asText();
        assertThat(call(SEF, "POST", "/api/works/" + line + "/hold", Map.of("reason", "DECIDE", "note", "which?"))
                        .status())
                .isEqualTo(204);
        String held = record();
        assertThat(call(MARA, "POST", "/api/undo", null).at("undo")).contains("somebody has changed the same since");
        assertThat(record()).isEqualTo(held);
        assertThat(call(SEF, "POST", "/api/undo", null).status()).isEqualTo(200);
        assertThat(call(MARA, "POST", "/api/undo", null).status()).isEqualTo(200);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void publishingAndTakingSomebodyOffTheListCanBeUndoneToo() throws Exception {
        String before = board().get("draft").get("publishedAt").asText();
        assertThat(call(MARA, "DELETE", "/api/people/bo", null).status()).isEqualTo(204);
        assertThat(call(BO, "GET", "/api/my-day", null).status()).isEqualTo(422);
        assertThat(call(MARA, "POST", "/api/plan/publish", null).status()).isEqualTo(204);
        assertThat(board().get("draft").get("publishedAt").asText()).isNotEqualTo(before);
        call(MARA, "POST", "/api/undo", null);
        call(MARA, "POST", "/api/undo", null);
        assertThat(board().get("draft").get("publishedAt").asText()).isEqualTo(before);
        assertThat(call(BO, "GET", "/api/my-day", null).body().get("now")).isNotEmpty();
    }
}
