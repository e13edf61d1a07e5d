package galecrest.server.build;

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

/** A car's own fields, its dates, its outside work, and what it was promised. */
class BuildTest extends ServerTest {
    private ObjectNode car() throws Exception {
        return (ObjectNode) find("cars", "number", "112");
    }

    private JsonNode date(String id) throws Exception {
        return find("commitments", "id", id);
    }

    private Map<String, Object> outwork() throws Exception {
        return new HashMap<>(Map.ofEntries(
                Map.entry("buildId", car().get("id").asText()),
                Map.entry("name", "Anodise uprights"),
                Map.entry("vendorId", "slip"),
                Map.entry("wholeCar", false),
                Map.entry("outMinutes", 30),
                Map.entry("lowDays", 2),
                Map.entry("likelyDays", 3),
                Map.entry("highDays", 5),
                Map.entry("backMinutes", 30),
                Map.entry("inspectionMinutes", 20),
                Map.entry("gate", "ROLL_OUT"),
                Map.entry("essential", true),
                Map.entry("after", List.of()),
                Map.entry("version", 0)));
    }

    @Test
    void aCarIsRenamedAndTheSecondOfTwoChangesIsRefused() throws Exception {
        String before = record();
        ObjectNode car = car();
        String path = "/api/builds/" + car.get("id").asText();
        car.put("name", "Renamed").put("weight", 2.5).put("limitRear", 3);
        assertThat(call(BO, "PUT", path, car).status()).isEqualTo(403);
        assertThat(call(MARA, "PUT", path, car).status()).isEqualTo(204);
        ObjectNode after = car();
        assertThat(after.get("name").asText()).isEqualTo("Renamed");
        assertThat(after.get("weight").asDouble()).isEqualTo(2.5);
        assertThat(after.get("limitRear").asInt()).isEqualTo(3);
        assertThat(call(MARA, "PUT", path, car).status()).isEqualTo(409);
        assertThat(call(MARA, "PUT", "/api/builds/none", after).status()).isEqualTo(404);
        undo(MARA, 1);
        assertThat(record()).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({
        "name, '', 1 to 80 characters",
        "number, 1234567, at most 6",
        "weight, 0, more than 0",
        "weight, 101, at most 100",
        "limitFront, 0, Between 1 and 9"
    })
    void aCarThatCannotBeIsRefusedAtItsField(String field, String value, String said) throws Exception {
        ObjectNode car = car();
        if (car.get(field).isNumber()) {
            car.put(field, Integer.parseInt(value));
        } else {
            car.put(field, value);
        }
        Answer answer = call(MARA, "PUT", "/api/builds/" + car.get("id").asText(), car);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at(field)).contains(said);
    }

    @Test
    void aDateIsMovedRenamedAndTakenBack() throws Exception {
        String before = record();
        Map<String, Object> form = new HashMap<>(Map.of(
                "buildId",
                car().get("id").asText(),
                "name",
                "Ice test",
                "kind",
                "SLOT",
                "due",
                at(56, "09:00"),
                "gate",
                "TEST",
                "weight",
                1,
                "version",
                0));
        assertThat(call(BO, "POST", "/api/commitments", form).status()).isEqualTo(403);
        String id = call(SEF, "POST", "/api/commitments", form).body().get("id").asText();
        long margin = date(id).get("marginMinutes").asLong();
        form.put("due", at(63, "09:00"));
        form.put("version", date(id).get("version").asInt());
        String path = "/api/commitments/" + id;
        assertThat(call(SEF, "PUT", path, form).status()).isEqualTo(204);
        assertThat(date(id).get("marginMinutes").asLong())
                .as("a week of the shop more")
                .isGreaterThan(margin);
        assertThat(call(SEF, "PUT", path, form).status()).isEqualTo(409);
        form.put("name", " ");
        form.put("weight", 0);
        Answer wrong = call(SEF, "PUT", path, form);
        assertThat(wrong.at("name")).contains("A date needs a name");
        assertThat(wrong.at("weight")).contains("more than 0");
        assertThat(call(SEF, "DELETE", path, null).status()).isEqualTo(204);
        assertThat(call(SEF, "DELETE", path, null).status()).isEqualTo(404);
        undo(SEF, 3);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void outsideWorkIsAddedPlannedAndChanged() throws Exception {
        String before = record();
        Map<String, Object> form = outwork();
        String id = call(SEF, "POST", "/api/outwork", form).body().get("id").asText();
        JsonNode work = find("works", "id", id);
        assertThat(work.at("/outwork/likelyDays").asInt()).isEqualTo(3);
        String back = work.at("/placed/end").asText();
        form.put("likelyDays", 8);
        form.put("highDays", 9);
        form.put("version", work.get("version").asInt());
        assertThat(call(SEF, "PUT", "/api/outwork/" + id, form).status()).isEqualTo(204);
        assertThat(find("works", "id", id).at("/placed/end").asText())
                .as("it is back later")
                .isGreaterThan(back);
        assertThat(call(SEF, "PUT", "/api/outwork/" + id, form).status()).isEqualTo(409);
        undo(SEF, 2);
        assertThat(record()).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({
        "name, '', name",
        "outMinutes, -5, outMinutes",
        "lowDays, 4, lowDays",
        "highDays, 300, highDays",
        "inspectionMinutes, -1, inspectionMinutes",
        "slotFrom, 2026-12-10T09:00:00Z, slotTo"
    })
    void outsideWorkThatCannotBeIsRefusedAtItsField(String field, String value, String at) throws Exception {
        String before = record();
        Map<String, Object> form = outwork();
        form.put(field, value.matches("-?\\d+") ? (Object) Integer.valueOf(value) : value);
        Answer answer = call(SEF, "POST", "/api/outwork", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at(at)).isNotEmpty();
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void aPromisedCallIsMadeOnce() throws Exception {
        JsonNode calls = board().at("/brief/calls");
        assertThat(calls).isNotEmpty();
        String path = "/api/calls/" + calls.get(0).get("id").asText() + "/done";
        Map<String, Object> said = Map.of("said", "wants the stripe in white");
        assertThat(call(SEF, "POST", path, said).status()).isEqualTo(204);
        assertThat(board().at("/brief/calls")).hasSize(calls.size() - 1);
        assertThat(call(SEF, "POST", path, said).status()).isEqualTo(404);
        assertThat(call(SEF, "GET", "/api/calls", null).body().toString()).contains("wants the stripe in white");
        undo(SEF, 1);
        assertThat(board().at("/brief/calls")).isEqualTo(calls);
    }

    /** Noted in one line by whoever answers the telephone, with the next call promised. */
    @Test
    void aCallThatComesInIsNotedAndTheNextPromised() throws Exception {
        int before = board().at("/brief/calls").size();
        assertThat(call(BO, "POST", "/api/calls", Map.of("who", "Harbour Coatings", "about", "flange"))
                        .at("said"))
                .contains("What was said");
        assertThat(call(
                                BO,
                                "POST",
                                "/api/calls",
                                Map.of(
                                        "who",
                                        "Harbour Coatings",
                                        "about",
                                        "flange",
                                        "said",
                                        "ready on Friday",
                                        "due",
                                        at(0, "15:00")))
                        .status())
                .isEqualTo(204);
        assertThat(board().at("/brief/calls")).hasSize(before + 1);
        assertThat(call(MARA, "GET", "/api/journal", null).body().toString())
                .contains("Harbour Coatings rang: ready on Friday");
        undo(BO, 1);
        assertThat(board().at("/brief/calls")).hasSize(before);
    }

    @Test
    void aDecisionIsAskedWithItsOptionsAndKeptWithWhatWasSaid() throws Exception {
        String car = find("cars", "number", "8").get("id").asText();
        Map<String, Object> form = Map.of(
                "question",
                "Which brake pads",
                "asked",
                "the customer",
                "due",
                at(2, "12:00"),
                "options",
                List.of(
                        Map.of("name", "as last season", "price", 380, "effect", ""),
                        Map.of("name", "the harder ones", "price", -1, "effect", "a week later")));
        assertThat(call(MARA, "POST", "/api/builds/" + car + "/decisions", form).at("options.1"))
                .isNotEmpty();
        form = Map.of("question", "Which brake pads", "asked", "", "options", List.of());
        String id = call(MARA, "POST", "/api/builds/" + car + "/decisions", form)
                .body()
                .get("id")
                .asText();
        assertThat(call(BO, "PUT", "/api/decisions/" + id, Map.of("chosen", "x", "kept", false, "note", ""))
                        .status())
                .isEqualTo(403);
        Map<String, Object> decided = Map.of("chosen", "as last season", "kept", true, "note", "said so on the phone");
        assertThat(call(MARA, "PUT", "/api/decisions/" + id, decided).status()).isEqualTo(204);
        assertThat(call(SEF, "PUT", "/api/decisions/" + id, decided).status())
                .as("it is decided")
                .isEqualTo(404);
        JsonNode there = call(BO, "GET", "/api/builds/" + car + "/decisions", null)
                .body()
                .get(0);
        assertThat(there.get("kept").asBoolean()).isTrue();
        assertThat(there.get("decidedBy").asText()).isEqualTo("Mara");
        undo(MARA, 2);
    }

    @Test
    void aHandAsksTheLeadAtAJob() throws Exception {
        JsonNode job = workOf("61", "Load");
        String id = call(
                        BO, "POST", "/api/works/" + job.get("id").asText() + "/ask", Map.of("question", "which ramps?"))
                .body()
                .get("id")
                .asText();
        String car = job.get("buildId").asText();
        assertThat(call(SEF, "GET", "/api/builds/" + car + "/decisions", null)
                        .body()
                        .get(0)
                        .get("question")
                        .asText())
                .isEqualTo("Load: which ramps?");
        assertThat(call(
                                SEF,
                                "PUT",
                                "/api/decisions/" + id,
                                Map.of("chosen", "the long ones", "kept", false, "note", ""))
                        .status())
                .isEqualTo(204);
        undo(SEF, 1);
        undo(BO, 1);
    }

    /** Both cars know: the borrower owes it, the lender has a job and a line without a date until it is given back. */
    @Test
    void whatIsBorrowedIsOwedAndTheLenderWaitsForIt() throws Exception {
        String from = find("cars", "number", "19").get("id").asText();
        String to = find("cars", "number", "8").get("id").asText();
        assertThat(call(SEF, "POST", "/api/builds/" + to + "/loans", Map.of("what", "left mirror", "fromBuildId", to))
                        .at("fromBuildId"))
                .contains("of itself");
        String id = call(
                        SEF, "POST", "/api/builds/" + to + "/loans", Map.of("what", "left mirror", "fromBuildId", from))
                .body()
                .get("id")
                .asText();
        JsonNode part = find("parts", "name", "Left mirror");
        assertThat(part.get("buildId").asText()).isEqualTo(from);
        assertThat(part.get("state").asText()).isEqualTo("WANTED");
        JsonNode refit = StreamSupport.stream(board().get("works").spliterator(), false)
                .filter(w -> w.get("name").asText().startsWith("Refit left mirror"))
                .findFirst()
                .orElseThrow();
        assertThat(refit.at("/job/parts/0").asText()).isEqualTo(part.get("id").asText());
        assertThat(call(BO, "GET", "/api/loans", null).body().toString()).contains("left mirror");
        assertThat(call(SEF, "POST", "/api/loans/" + id + "/returned", null).status())
                .isEqualTo(204);
        assertThat(call(SEF, "POST", "/api/loans/" + id + "/returned", null).status())
                .isEqualTo(404);
        assertThat(find("parts", "name", "Left mirror").get("state").asText()).isEqualTo("ACCEPTED");
        undo(SEF, 2);
        assertThat(board().get("parts").toString()).doesNotContain("Left mirror");
    }

    @Test
    void theNextOneSeesWhatWasRuledOut() throws Exception {
        String car = find("cars", "number", "8").get("id").asText();
        String id = call(BO, "POST", "/api/builds/" + car + "/faults", Map.of("symptom", "misfire above 5,000"))
                .body()
                .get("id")
                .asText();
        Map<String, Object> check =
                Map.of("what", "coil 3", "how", "swapped with 2", "result", "stays on 3", "ruledOut", true);
        assertThat(call(BO, "POST", "/api/faults/" + id + "/checks", check).status())
                .isEqualTo(204);
        assertThat(call(
                                BO,
                                "POST",
                                "/api/faults/" + id + "/checks",
                                Map.of("what", "", "how", "", "result", "x", "ruledOut", false))
                        .at("what"))
                .contains("What was checked");
        assertThat(call(SEF, "POST", "/api/faults/" + id + "/solved", Map.of("cause", "plug lead chafed"))
                        .status())
                .isEqualTo(204);
        assertThat(call(BO, "POST", "/api/faults/" + id + "/checks", check).status())
                .as("it is solved")
                .isEqualTo(404);
        JsonNode fault =
                call(SEF, "GET", "/api/builds/" + car + "/faults", null).body().get(0);
        assertThat(fault.at("/checks/0/what").asText()).isEqualTo("coil 3");
        assertThat(fault.at("/checks/0/byName").asText()).isEqualTo("Bo");
        undo(SEF, 1);
        undo(BO, 2);
    }

    @Test
    void whatIsFittedForNowIsOnTheCarUntilItIsMadeGood() throws Exception {
        JsonNode part = StreamSupport.stream(board().get("parts").spliterator(), false)
                .filter(p -> p.get("state").asText().equals("ACCEPTED"))
                .findFirst()
                .orElseThrow();
        String path = "/api/parts/" + part.get("id").asText() + "/fit";
        String car = part.get("buildId").asText();
        int there = find("cars", "id", car).get("forNow").size();
        assertThat(call(SEF, "POST", path, Map.of("forNow", true, "reason", "")).at("gate"))
                .contains("before which gate");
        assertThat(call(SEF, "POST", path, Map.of("forNow", true, "gate", "TEST", "reason", "a bolt is short"))
                        .status())
                .isEqualTo(204);
        JsonNode forNow = find("cars", "id", car).get("forNow");
        assertThat(forNow).hasSize(there + 1);
        assertThat(forNow.toString()).contains("a bolt is short").contains("TEST");
        String id = StreamSupport.stream(forNow.spliterator(), false)
                .filter(f -> f.get("reason").asText().equals("a bolt is short"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asText();
        assertThat(call(SEF, "POST", "/api/fitted-for-now/" + id + "/made-good", null)
                        .status())
                .isEqualTo(204);
        assertThat(find("cars", "id", car).get("forNow")).hasSize(there);
        assertThat(call(SEF, "POST", "/api/fitted-for-now/" + id + "/made-good", null)
                        .status())
                .isEqualTo(404);
        undo(SEF, 2);
    }
}
