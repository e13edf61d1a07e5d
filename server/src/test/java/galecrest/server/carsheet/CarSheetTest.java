package galecrest.server.carsheet;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The car's sheet on paper and as a table, its log of notes, and what classes limit. */
class CarSheetTest extends ServerTest {
    private String car() throws Exception {
        return find("cars", "number", "61").path("id").asText();
    }

    private byte[] get(Account who, String url) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(url).cookie(session(who)))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private String text(String url) throws Exception {
        try (var pdf = Loader.loadPDF(get(BO, url))) {
            return new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
        }
    }

    private Answer takeIn(String csv) throws Exception {
        return upload(SEF, "/api/builds/" + car() + "/measurements/import", csv.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void sheetsOnPaperSayWhatTheLogSays() throws Exception {
        String setUp = text("/api/builds/" + car() + "/set-up.pdf");
        assertThat(setUp)
                .contains("61 Orrin single-seater: set-up sheet")
                .contains("cross 50.3 %")
                .contains("driver in, 20 L, 1.6 bar, bars unhooked, pads A–D")
                .contains("left front")
                .contains("Stands, not the jack");
        assertThat(text("/api/builds/" + car() + "/strings.pdf"))
                .contains("0° 12′ out front")
                .contains("front edge");
        assertThat(text("/api/builds/" + car() + "/torque.pdf")).contains("checked by");
        call(
                BO,
                "POST",
                "/api/builds/" + car() + "/measurements",
                Map.of(
                        "gauge",
                        "torque-sheet",
                        "asked",
                        Map.of(
                                "fasteners",
                                List.of(Map.of("fastener", "rear mount", "torque", "90 Nm", "passes", "2")))));
        assertThat(text("/api/builds/" + car() + "/torque.pdf")).contains("rear mount 90 Nm (66.4 lb·ft) 45 Nm, 90 Nm");
        undo(BO, 1);
    }

    @Test
    void theLogGoesOutAndComesInAgain() throws Exception {
        String csv = new String(get(BO, "/api/builds/" + car() + "/measurements.csv"), StandardCharsets.UTF_8);
        int before = call(BO, "GET", "/api/builds/" + car() + "/measurements", null)
                .body()
                .size();
        assertThat(csv.lines().count()).isEqualTo(before + 1);
        // What is there already is passed over.
        Answer same = takeIn(csv);
        assertThat(same.status()).as(same.body().toString()).isEqualTo(200);
        assertThat(same.body().path("taken").asInt()).isZero();
        Answer some = takeIn("gauge,at,what,value,by\r\n,2026-01-05T10:00:00Z,Brake pedal,firm,Kit\r\n"
                + "by-hand,,Charging,14.1 V,\r\n");
        assertThat(some.body().path("taken").asInt()).isEqualTo(2);
        JsonNode log =
                call(BO, "GET", "/api/builds/" + car() + "/measurements", null).body();
        assertThat(log).hasSize(before + 2);
        assertThat(log.get(0).path("what").asText()).isEqualTo("Charging");
        assertThat(log.get(0).path("by").asText()).isEqualTo("Sef");
        assertThat(log.get(log.size() - 1).path("by").asText()).isEqualTo("Kit");
        undo(SEF, 1);
        Answer wrong = takeIn("gauge,at,asked\r\ncorner-weights,,\"{\"\"pads\"\": [\"\"-1\"\", 2, 3, 4]}\"\r\n"
                + "moon,,\"{}\"\r\ncorner-weights,2999-01-01T00:00:00Z,\"{}\"\r\n");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.body().toString()).contains("not over yet");
        Answer also =
                takeIn("gauge,asked\r\ncorner-weights,\"{\"\"pads\"\": [\"\"-1\"\", 2, 3, 4]}\"\r\nmoon,\"{}\"\r\n");
        assertThat(also.at("line 2, pads[0]")).contains("out of range");
        assertThat(also.at("line 3, gauge")).contains("no gauge");
        assertThat(call(BO, "GET", "/api/builds/" + car() + "/measurements", null)
                        .body())
                .hasSize(before);
    }

    @Test
    void notesAreFoundBesideWhatWasMeasuredThen() throws Exception {
        String url = "/api/builds/" + car() + "/notes";
        int before = call(BO, "GET", url, null).body().size();
        assertThat(call(BO, "POST", url, Map.of("felt", " ", "version", 0)).at("felt"))
                .contains("felt or seen");
        assertThat(call(BO, "POST", url, Map.of("felt", "x", "at", at(3, "10:00"), "version", 0))
                        .at("at"))
                .contains("not over");
        call(
                BO,
                "POST",
                "/api/builds/" + car() + "/measurements",
                Map.of("gauge", "by-hand", "asked", Map.of("what", "Brake pedal", "value", "long, 60 mm")));
        Answer added = call(
                BO,
                "POST",
                url,
                Map.of("felt", "Pulls to the LEFT under braking", "place", "hill", "driver", "Ines", "version", 0));
        String id = added.body().path("id").asText();
        call(SEF, "POST", url, Map.of("felt", "Understeers in the wet", "version", 0));
        JsonNode found = call(BO, "GET", url + "?find=left ines", null).body();
        assertThat(found).hasSize(1);
        assertThat(found.get(0).path("measured").toString()).contains("Brake pedal: long, 60 mm");
        assertThat(call(BO, "GET", url + "?find=left wet", null).body()).isEmpty();
        String other = call(BO, "GET", url + "?find=wet", null)
                .body()
                .get(0)
                .path("id")
                .asText();
        assertThat(call(BO, "DELETE", url + "/" + other, null).at("felt")).contains("Sef's");
        Map<String, Object> change = Map.of("felt", "Pulls left, caliper sticks", "version", 1);
        assertThat(call(BO, "PUT", url + "/" + id, change).status()).isEqualTo(204);
        assertThat(call(SEF, "PUT", url + "/" + id, change).status()).isEqualTo(409);
        assertThat(call(SEF, "DELETE", url + "/" + id, null).status()).isEqualTo(204);
        undo(SEF, 1);
        undo(BO, 1);
        undo(SEF, 1);
        undo(BO, 2);
        assertThat(call(BO, "GET", url, null).body()).hasSize(before);
    }

    @Test
    void aClassIsEnteredOnceAndEachLineIsChecked() throws Exception {
        Map<String, Object> overhang = Map.of(
                "measure", "rear overhang", "kind", "length", "least", "", "most", "900 mm", "tolerance", "5 mm");
        Map<String, Object> bad =
                Map.of("measure", "weight", "kind", "mass", "least", "3 bar", "most", "", "tolerance", "");
        assertThat(call(BO, "PUT", "/api/classes", Map.of("name", "open", "limits", List.of(overhang)))
                        .status())
                .isEqualTo(403);
        assertThat(call(SEF, "PUT", "/api/classes", Map.of("name", "open", "limits", List.of(overhang, bad)))
                        .at("limits[1].least"))
                .contains("is a pressure");
        assertThat(call(BO, "GET", "/api/classes", null).body().toString()).doesNotContain("open");
        call(SEF, "PUT", "/api/classes", Map.of("name", "open", "limits", List.of(overhang)));
        assertThat(call(BO, "GET", "/api/classes", null).body().toString()).contains("rear overhang");
        undo(SEF, 1);
        assertThat(call(BO, "GET", "/api/classes", null).body().toString()).doesNotContain("open");
    }

    /** What a bare number means is the house's choice, and before that the person's; a sheet keeps what it meant. */
    @Test
    void unitsAreChosenByHouseAndPerson() throws Exception {
        Map<String, Object> asked = Map.of("pressures", List.of("28", "28", "28", "28"));
        String url = "/api/gauges/tyre-pressures";
        assertThat(call(BO, "POST", url, asked).status()).isEqualTo(422);
        assertThat(call(BO, "PUT", "/api/units/house", Map.of("choices", Map.of()))
                        .status())
                .isEqualTo(403);
        call(MARA, "PUT", "/api/units/house", Map.of("choices", Map.of("PRESSURE", "CUSTOMARY")));
        assertThat(call(BO, "POST", url, asked).body().path("said").asText()).startsWith("28 psi");
        call(BO, "PUT", "/api/units/mine", Map.of("choices", Map.of("PRESSURE", "METRIC")));
        assertThat(call(BO, "POST", url, asked).status()).isEqualTo(422);
        assertThat(call(SEF, "POST", url, asked).status()).isEqualTo(200);
        Answer filed = call(
                SEF,
                "POST",
                "/api/builds/" + car() + "/measurements",
                Map.of("gauge", "tyre-pressures", "asked", asked));
        assertThat(filed.status()).isEqualTo(200);
        JsonNode sheet = call(BO, "GET", "/api/builds/" + car() + "/measurements", null)
                .body()
                .get(0);
        assertThat(sheet.at("/asked/units/pressure").asText()).isEqualTo("customary");
        undo(SEF, 1);
        undo(BO, 1);
        undo(MARA, 1);
    }

    /** Two who choose at the same time, or one who is quick, do not undo each other's. */
    @Test
    void aChoiceOfUnitsLeavesTheOthersAsTheyAre() throws Exception {
        call(MARA, "PUT", "/api/units/house", Map.of("choices", Map.of("PRESSURE", "CUSTOMARY")));
        call(MARA, "PUT", "/api/units/house", Map.of("choices", Map.of("MASS", "CUSTOMARY")));
        assertThat(house()).isEqualTo("{\"MASS\":\"CUSTOMARY\",\"PRESSURE\":\"CUSTOMARY\"}");
        call(MARA, "PUT", "/api/units/house", "{\"choices\":{\"PRESSURE\":null}}");
        assertThat(house()).isEqualTo("{\"MASS\":\"CUSTOMARY\"}");
        undo(MARA, 3);
        assertThat(house()).isEqualTo("{}");
    }

    private String house() throws Exception {
        JsonNode house = call(BO, "GET", "/api/units", null).body().path("house");
        return json.writeValueAsString(json.treeToValue(house, java.util.TreeMap.class));
    }

    /** Only what is shown, and of it only the last that counts. */
    @Test
    void theCustomerSeesWhatIsShown() throws Exception {
        String url = "/api/builds/" + car() + "/measurements";
        JsonNode log = call(BO, "GET", url, null).body();
        String sheet = log.get(0).path("id").asText();
        String what = log.get(0).path("what").asText();
        Answer link =
                call(MARA, "POST", "/api/builds/" + car() + "/customer-links", Map.of("days", 30, "money", false));
        String page = "/api/customer/" + link.body().path("path").asText().substring(3);
        assertThat(call(MARA, "GET", page, null).body().path("measured")).isEmpty();
        assertThat(call(BO, "PUT", url + "/" + sheet + "/shown", Map.of("shown", true))
                        .status())
                .isEqualTo(403);
        assertThat(call(SEF, "PUT", url + "/" + sheet + "/shown", Map.of("shown", true))
                        .status())
                .isEqualTo(204);
        assertThat(call(MARA, "GET", page, null).body().at("/measured/0/what").asText())
                .isEqualTo(what);
        undo(SEF, 1);
        assertThat(call(MARA, "GET", page, null).body().path("measured")).isEmpty();
        undo(MARA, 1);
    }
}
