package galecrest.server.build;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Bad input is answered at its field, in the user's words, and changes nothing. */
class BadInputTest extends ServerTest {
    private String before;

    @BeforeEach
    void remember() throws Exception {
        before = record();
    }

    @AfterEach
    void nothingHasChanged() throws Exception {
        assertThat(record()).isEqualTo(before);
    }

    private ObjectNode jobForm(String name) throws Exception {
        JsonNode work = workOf("8", name);
        ObjectNode spec = work.get("job").deepCopy();
        spec.put("name", work.get("name").asText());
        spec.put("gate", work.get("gate").asText());
        spec.put("essential", work.get("essential").asBoolean());
        ObjectNode form = json.createObjectNode();
        form.put("buildId", work.get("buildId").asText());
        form.put("stage", work.path("stage").asText());
        form.set("spec", spec);
        form.put("note", work.get("note").asText());
        form.set("after", json.createArrayNode());
        form.put("version", work.get("version").asInt());
        return form;
    }

    @Test
    void aCircleIsNamed() throws Exception {
        String first = workOf("27", "Loom in").get("id").asText();
        String then = workOf("27", "Power-up circuit by circuit").get("id").asText();
        Answer answer = call(
                MARA,
                "POST",
                "/api/links",
                Map.of("firstId", then, "thenId", first, "type", "FINISH_START", "lagMinutes", 0, "lagWorking", false));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("firstId")).contains("circle").contains("Loom in").contains("Power-up circuit by circuit");
    }

    @Test
    void aLowEstimateAboveTheLikelyOne() throws Exception {
        ObjectNode form = jobForm("Engine loom in");
        ((ObjectNode) form.get("spec")).put("lowMinutes", 400).put("highMinutes", 10);
        Answer answer = call(
                SEF,
                "PUT",
                "/api/jobs/" + workOf("8", "Engine loom in").get("id").asText(),
                form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("lowMinutes")).contains("400").contains("Low ≤ likely ≤ high");
        assertThat(answer.at("highMinutes")).contains("below the likely");
    }

    @Test
    void aShiftThatEndsBeforeItStarts() throws Exception {
        ObjectNode form = find("people", "name", "Bo").deepCopy();
        ((ObjectNode) form.get("shifts").get(1)).put("start", "16:00").put("end", "08:00");
        Answer answer = call(MARA, "PUT", "/api/people/bo", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("shifts.1")).contains("before it starts");
        Answer leave = call(
                MARA,
                "POST",
                "/api/people/bo/shift-changes",
                Map.of("kind", "LEAVE", "from", day(10), "to", day(6), "note", ""));
        assertThat(leave.at("to")).contains("on or after the first");
    }

    @Test
    void shiftsThatOverlap() throws Exception {
        ObjectNode form = find("people", "name", "Bo").deepCopy();
        ((ArrayNode) form.get("shifts"))
                .addObject()
                .put("day", 1)
                .put("start", "11:00")
                .put("end", "13:00");
        assertThat(call(MARA, "PUT", "/api/people/bo", form).at("shifts")).contains("overlap");
    }

    @Test
    void pinsThatCannotHold() throws Exception {
        String work = workOf("8", "Engine in for good").get("id").asText();
        Answer person = call(MARA, "POST", "/api/pins", Map.of("workId", work, "kind", "PERSON", "personId", "mara"));
        Answer early = call(MARA, "POST", "/api/pins", Map.of("workId", work, "kind", "EXACTLY", "at", at(1, "09:00")));
        Answer past = call(
                MARA, "POST", "/api/pins", Map.of("workId", work, "kind", "EXACTLY", "at", "2020-01-01T09:00:00Z"));
        assertThat(early.at("pin")).contains("cannot hold").contains("coated exhaust flange");
        assertThat(past.status()).isEqualTo(422);
        // Mara may help as the learner beside the engine builder, so this pin is good; it is taken back.
        assertThat(person.status()).isEqualTo(200);
        call(MARA, "DELETE", "/api/pins/" + person.body().get("id").asText(), null);
        Answer station =
                call(MARA, "POST", "/api/pins", Map.of("workId", work, "kind", "STATION", "stationId", "flat"));
        assertThat(station.at("pin")).contains("Flat patch is of the kind flat patch");
    }

    @Test
    void aCommitmentBeforeToday() throws Exception {
        Map<String, Object> form = new HashMap<>(Map.of(
                "buildId",
                find("cars", "number", "8").get("id").asText(),
                "name",
                "yesterday",
                "kind",
                "EVENT",
                "due",
                at(-5, "08:00"),
                "gate",
                "EVENT",
                "weight",
                1,
                "version",
                0));
        assertThat(call(MARA, "POST", "/api/commitments", form).at("due")).contains("has passed already");
    }

    private Answer preview(byte[] file) throws Exception {
        String car = find("cars", "number", "8").get("id").asText();
        Answer preview = upload(MARA, "/api/builds/" + car + "/jobs/preview", file);
        if (preview.status() == 200 && preview.body().get("problems").size() > 0) {
            assertThat(upload(MARA, "/api/builds/" + car + "/jobs/import", file).status())
                    .isEqualTo(422);
        }
        return preview;
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void wrongJobSheets() throws Exception {
        assertThat(preview(utf8("ref,job\na,Weld tab\n")).at("line 1, likely_min, crew"))
                .contains("missing");
        assertThat(preview("job;likely_min;crew\nVorderachse prüfen;30;fit\n".getBytes(StandardCharsets.ISO_8859_1))
                        .body()
                        .toString())
                .as("as a spreadsheet saves it")
                .contains("Vorderachse prüfen");
        assertThat(preview(utf8("job,likely_min,crew\nJuggle,30,juggling\n")).at("line 2, crew"))
                .contains("Nobody in the shop has the skill \"juggling\"");
        assertThat(preview(utf8("job,likely_min,crew\n\"Weld tab,30,weld\n")).at("file"))
                .contains("no CSV file");
        assertThat(preview(utf8("")).at("file")).contains("empty");
        assertThat(preview(new byte[10 * 1024 * 1024]).at("file")).contains("10 MB");
    }

    @Test
    void requestsThatAreNoneAtAll() throws Exception {
        assertThat(call(MARA, "POST", "/api/jobs", "{\"spec\": 7}").status()).isEqualTo(400);
        assertThat(call(MARA, "POST", "/api/jobs", "not json").status()).isEqualTo(400);
        Answer zone = call(
                MARA, "POST", "/api/jobs", jobForm("Engine loom in").toString().replace("ENGINE_BAY", "ROOF"));
        assertThat(zone.body().get("detail").asText()).contains("spec.zone");
        assertThat(call(MARA, "PUT", "/api/parts/none", "{}").status()).isIn(400, 404);
    }

    @Test
    void whatIsMissingIsNamedAtItsField() throws Exception {
        ObjectNode form = jobForm("Engine loom in");
        form.remove("buildId");
        ((ObjectNode) form.get("spec")).remove("zone");
        Answer answer = call(MARA, "POST", "/api/jobs", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("buildId")).isEqualTo("This is missing.");
        assertThat(answer.at("spec.zone")).isEqualTo("This is missing.");
    }

    @Test
    void whatCannotBeKeptIsNamedAtItsField() throws Exception {
        ObjectNode form = jobForm("Engine loom in");
        ((ObjectNode) form.get("spec")).put("name", "Engine \0 loom");
        form.put("notBefore", "+292278994-08-17T07:12:55Z");
        Answer answer = call(MARA, "POST", "/api/jobs", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("spec.name")).contains("cannot be kept");
        assertThat(answer.at("notBefore")).contains("too far off");
    }

    @Test
    void whatHangsOnSomethingGoneIsRefusedInWords() throws Exception {
        Answer answer = call(
                MARA,
                "POST",
                "/api/supplies",
                Map.of("name", "rivets", "quantity", "200", "boughtFrom", "", "buildId", "none"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().get("detail").asText()).contains("not there any more");
    }

    @Test
    void twoPeopleEditTheSameJob() throws Exception {
        String id = workOf("8", "Engine loom in").get("id").asText();
        ObjectNode mine = jobForm("Engine loom in");
        ObjectNode theirs = mine.deepCopy();
        ((ObjectNode) theirs.get("spec")).put("highMinutes", 900);
        ((ObjectNode) mine.get("spec")).put("likelyMinutes", 240);
        assertThat(call(SEF, "PUT", "/api/jobs/" + id, theirs).status()).isEqualTo(204);
        Answer conflict = call(MARA, "PUT", "/api/jobs/" + id, mine);
        assertThat(conflict.status()).isEqualTo(409);
        assertThat(StreamSupport.stream(conflict.body().get("differences").spliterator(), false)
                        .map(d -> d.get("field").asText()))
                .containsExactlyInAnyOrder("likelyMinutes", "highMinutes");
        mine.put("version", conflict.body().get("version").asInt());
        assertThat(call(MARA, "PUT", "/api/jobs/" + id, mine).status()).isEqualTo(204);
        call(MARA, "POST", "/api/undo", null);
        call(SEF, "POST", "/api/undo", null);
    }

    @Test
    void aJobThatNobodyCanDoIsKeptAndSaysSo() throws Exception {
        ObjectNode form = jobForm("Engine loom in");
        ((ObjectNode) form.get("spec")).put("name", "Etch the glass");
        ((ObjectNode) form.get("spec").get("crew").get(0)).put("skill", "etching");
        assertThat(call(SEF, "POST", "/api/jobs", form).status()).isEqualTo(200);
        assertThat(find("works", "name", "Etch the glass").get("cannot").asText())
                .contains("Nobody has the skill etching");
        assertThat(find("commitments", "name", "Four hours of Crane Moor").has("marginMinutes"))
                .isFalse();
        call(SEF, "POST", "/api/undo", null);
    }

    @Test
    void aVendorInUseStays() throws Exception {
        Answer answer = call(MARA, "DELETE", "/api/vendors/quay", null);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("vendor")).contains("still goes to this vendor");
    }

    @Test
    void partsWithWrongPricesAndDates() throws Exception {
        ObjectNode form = find("parts", "name", "coated exhaust flange").deepCopy();
        form.put("price", -3).put("arrivalLow", "2030-01-01T00:00:00Z");
        form.set(
                "neededBy",
                json.createArrayNode().add(workOf("27", "Loom in").get("id").asText()));
        Answer answer = call(MARA, "PUT", "/api/parts/" + form.get("id").asText(), form);
        assertThat(answer.at("price")).contains("between 0 and");
        assertThat(answer.at("arrivalLow")).contains("after the likely");
        assertThat(answer.at("neededBy")).contains("its own build");
    }
}
