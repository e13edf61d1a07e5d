package galecrest.server.errand;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Work without a car: it is planned with all else, feeds the shelf, and brings what was collected. */
class WithoutACarTest extends ServerTest {
    private static Map<String, Object> errand(String what, String by) {
        Map<String, Object> form = new HashMap<>();
        form.put("what", what);
        form.put("place", "Tide Driveline");
        form.put("vehicleId", "van");
        form.put("minutes", 90);
        form.put("by", by);
        return form;
    }

    private String added(Map<String, Object> form) throws Exception {
        Answer answer = call(SEF, "POST", "/api/errands", form);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().get("id").asText();
    }

    private int lying(String name) throws Exception {
        for (JsonNode one : call(MARA, "GET", "/api/desk", null).body().get("shelf")) {
            if (one.get("name").asText().equals(name)) {
                return one.get("quantity").asInt();
            }
        }
        throw new AssertionError("no " + name);
    }

    private void done(String work) throws Exception {
        assertThat(call(MARA, "POST", "/api/works/" + work + "/done", null).status())
                .isEqualTo(204);
    }

    @Test
    void anErrandIsPlannedWithWhoGoesAndTheVehicle() throws Exception {
        String by = at(next(java.time.DayOfWeek.TUESDAY), "15:00");
        Map<String, Object> form = errand("Deliver the head", by);
        form.put("personId", "bo");
        String id = added(form);
        JsonNode work = find("works", "id", id);
        assertThat(work.get("name").asText()).isEqualTo("Deliver the head, Tide Driveline");
        assertThat(work.at("/job/onCar").asBoolean()).isFalse();
        assertThat(work.at("/placed/crew/0").asText()).isEqualTo("bo");
        assertThat(work.at("/placed/stationId").asText()).isEqualTo("van");
        assertThat(Instant.parse(work.at("/placed/end").asText())).isBeforeOrEqualTo(Instant.parse(by));
        JsonNode date = find("commitments", "id", work.get("dateId").asText());
        assertThat(Instant.parse(date.get("due").asText())).isEqualTo(Instant.parse(by));
        String later = at(next(java.time.DayOfWeek.TUESDAY) + 1, "15:00");
        String from = at(next(java.time.DayOfWeek.TUESDAY) + 1, "13:00");
        assertThat(call(SEF, "PUT", "/api/errands/" + id + "/time", Map.of("from", from, "by", later))
                        .status())
                .isEqualTo(204);
        assertThat(Instant.parse(find("works", "id", id).at("/placed/start").asText()))
                .isAfterOrEqualTo(Instant.parse(from));
        assertThat(call(SEF, "DELETE", "/api/errands/" + id, null).status()).isEqualTo(204);
        for (JsonNode one : board().get("commitments")) {
            assertThat(one.get("name").asText()).isNotEqualTo("Deliver the head");
        }
        undo(SEF, 3);
    }

    @Test
    void whatIsFetchedIsExpectedThenAndHereOnceItIsDone() throws Exception {
        JsonNode part = find("parts", "name", "driveshaft right");
        assertThat(part.get("state").asText()).isEqualTo("ORDERED");
        String by = at(next(java.time.DayOfWeek.WEDNESDAY), "12:00");
        Map<String, Object> form = errand("Fetch the driveshaft", by);
        form.put("partId", part.get("id").asText());
        form.put("forBuildId", part.get("buildId").asText());
        String id = added(form);
        JsonNode expected = find("parts", "id", part.get("id").asText());
        assertThat(Instant.parse(expected.get("arrivalLikely").asText())).isEqualTo(Instant.parse(by));
        done(id);
        JsonNode here = find("parts", "id", part.get("id").asText());
        assertThat(here.get("state").asText()).isEqualTo("ARRIVED");
        assertThat(call(SEF, "POST", "/api/errands", form).at("partId")).contains("arrived");
        undo(MARA, 1);
        assertThat(find("parts", "id", part.get("id").asText()).get("state").asText())
                .isEqualTo("ORDERED");
        undo(SEF, 1);
        assertThat(find("parts", "id", part.get("id").asText()).get("arrivalLikely"))
                .isEqualTo(part.get("arrivalLikely"));
    }

    @Test
    void badErrandsSayWhy() throws Exception {
        assertThat(call(SEF, "POST", "/api/errands", errand(" ", workday(1) + "T12:00:00Z"))
                        .at("what"))
                .contains("What is it");
        assertThat(call(SEF, "POST", "/api/errands", errand("x", "2020-01-01T12:00:00Z"))
                        .at("by"))
                .contains("past");
        Map<String, Object> form = errand("x", workday(2) + "T12:00:00Z");
        form.put("from", workday(3) + "T12:00:00Z");
        assertThat(call(SEF, "POST", "/api/errands", form).at("from")).contains("no later");
        form.remove("from");
        form.put("personId", "nobody");
        assertThat(call(SEF, "POST", "/api/errands", form).at("personId")).contains("Nobody");
        form.remove("personId");
        form.put("minutes", 2000);
        assertThat(call(SEF, "POST", "/api/errands", form).at("minutes")).contains("24 h");
        assertThat(call(BO, "POST", "/api/errands", errand("x", workday(1) + "T12:00:00Z"))
                        .status())
                .isEqualTo(403);
    }

    /** Finished it lies there; opened again it does not; finished twice it is counted once. */
    @Test
    void aBatchFeedsTheShelfOnce() throws Exception {
        String spacers = "wheel spacers, 12 mm";
        int before = lying(spacers);
        String work = find("works", "name", "Turn spacers, 12 mm").get("id").asText();
        JsonNode yield = call(BO, "GET", "/api/works/" + work + "/yield", null).body();
        assertThat(yield.get("quantity").asInt()).isEqualTo(24);
        assertThat(call(
                                SEF,
                                "PUT",
                                "/api/works/" + work + "/yield",
                                Map.of("shelfId", yield.get("shelfId"), "quantity", 0))
                        .at("quantity"))
                .isNotEmpty();
        done(work);
        assertThat(lying(spacers)).isEqualTo(before + 24);
        assertThat(call(MARA, "POST", "/api/works/" + work + "/done", null).status())
                .isEqualTo(422);
        assertThat(lying(spacers)).isEqualTo(before + 24);
        assertThat(call(MARA, "POST", "/api/works/" + work + "/more", Map.of("minutes", 60))
                        .status())
                .isEqualTo(204);
        assertThat(lying(spacers)).isEqualTo(before);
        done(work);
        assertThat(lying(spacers)).isEqualTo(before + 24);
        undo(MARA, 3);
        assertThat(lying(spacers)).isEqualTo(before);
    }

    /** Whatever a form or the capture line says, nothing is done on a car that is none. */
    @Test
    void withoutACarNothingIsDoneOnOne() throws Exception {
        String stock = find("cars", "name", "Stock and tools").get("id").asText();
        Answer added = call(
                SEF,
                "POST",
                "/api/builds/" + stock + "/capture",
                Map.of("text", "grease the mill, 45 min, on the car"));
        String work = added.body().get("workId").asText();
        assertThat(find("works", "id", work).at("/job/onCar").asBoolean()).isFalse();
        undo(SEF, 1);
        assertThat(List.of("Stock and tools", "Errands")).allSatisfy(name -> assertThat(
                        find("cars", "name", name).get("body").asText())
                .isEqualTo("NONE"));
    }
}
