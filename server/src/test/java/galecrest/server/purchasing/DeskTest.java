package galecrest.server.purchasing;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DeskTest extends ServerTest {
    private static final String LATE_ENOUGH = at(20, "11:00");

    private String partId(String name) throws Exception {
        return find("parts", "name", name).get("id").asText();
    }

    private static Map<String, Object> order(String likely) {
        return new HashMap<>(Map.of("low", likely, "likely", likely, "high", likely));
    }

    /** A shaft whose other end nobody asked about: stopped, asked, answered, does not fit, the other end chosen, ordered. */
    @Test
    void anUnknownSideStopsTheOrderUntilItIsAnsweredAndFits() throws Exception {
        String before = record();
        String shaft = partId("driveshaft, long travel");
        String path = "/api/parts/" + shaft;
        Answer held = call(MARA, "POST", path + "/order", order(LATE_ENOUGH));
        assertThat(held.status()).isEqualTo(422);
        assertThat(held.at("overrideReason")).contains("wheel end").contains("Which joint goes on the end");
        JsonNode mail = call(MARA, "POST", path + "/question", null).body();
        assertThat(mail.get("recipient").asText()).endsWith(".example");
        assertThat(mail.get("body").asText())
                .contains("Which joint goes on the end")
                .contains("Ours is 94 mm outer");
        Map<String, Object> spline = Map.of(
                "place", "gearbox end", "kind", "SPLINE", "carSide", "26 x 30 female", "partSide", "26 x 30 male");
        Map<String, Object> wrong =
                Map.of("place", "wheel end", "kind", "JOINT", "carSide", "94 mm outer", "partSide", "100 mm outer");
        assertThat(call(SEF, "PUT", path + "/mates", List.of(spline, wrong)).status())
                .isEqualTo(204);
        JsonNode judged = call(SEF, "GET", path, null).body();
        assertThat(judged.at("/mates/1/outcome").asText()).isEqualTo("DOES_NOT_FIT");
        assertThat(judged.at("/mates/1/said").asText()).contains("6 mm too large");
        Map<String, Object> pushed = order(LATE_ENOUGH);
        pushed.put("overrideReason", "we turn it down ourselves");
        assertThat(call(SEF, "POST", path + "/order", pushed).at("overrideReason"))
                .contains("Only the manager");
        Map<String, Object> right =
                Map.of("place", "wheel end", "kind", "JOINT", "carSide", "94 mm outer", "partSide", "94 mm outer");
        call(SEF, "PUT", path + "/mates", List.of(spline, right));
        assertThat(call(SEF, "POST", path + "/order", order(LATE_ENOUGH)).status())
                .isEqualTo(204);
        assertThat(find("parts", "id", shaft).get("state").asText()).isEqualTo("ORDERED");
        call(SEF, "POST", "/api/undo", null);
        call(SEF, "POST", "/api/undo", null);
        call(SEF, "POST", "/api/undo", null);
        undo(MARA, 1);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void aHeldOrderIsNotSlippedPastByTheForm() throws Exception {
        ObjectNode form = (ObjectNode) find("parts", "name", "driveshaft, long travel");
        form.put("state", "ORDERED");
        Answer answer = call(MARA, "PUT", "/api/parts/" + form.get("id").asText(), form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("state")).contains("held");
        form.put("state", "ARRIVED");
        assertThat(call(MARA, "PUT", "/api/parts/" + form.get("id").asText(), form)
                        .at("state"))
                .contains("order it first");
    }

    @Test
    void aCrackedDeliveryIsALatePart() throws Exception {
        String bushes = partId("wishbone bushes");
        String path = "/api/parts/" + bushes + "/inspection";
        Map<String, Object> form = new HashMap<>(Map.of(
                "counted", 8, "rightVariant", true, "sizes", "", "damage", "cracked", "accepted", true, "reason", ""));
        assertThat(call(BO, "POST", path, form).at("accepted")).contains("refused");
        form.put("accepted", false);
        assertThat(call(BO, "POST", path, form).at("reason")).contains("Why");
        form.put("reason", "two are cracked");
        Answer refused = call(BO, "POST", path, form);
        assertThat(refused.status()).isEqualTo(200);
        assertThat(refused.body().get("state").asText()).isEqualTo("REFUSED");
        assertThat(find("parts", "id", bushes).has("arrivalLikely")).isFalse();
        assertThat(call(BO, "POST", path, form).at("counted")).contains("order it again");
        assertThat(call(MARA, "POST", "/api/parts/" + bushes + "/order", order(LATE_ENOUGH))
                        .status())
                .isEqualTo(204);
        form.putAll(Map.of("accepted", true, "damage", "", "reason", "", "counted", 5));
        assertThat(call(BO, "POST", path, form).body().get("state").asText()).isEqualTo("SHIPPED");
        form.put("counted", 4);
        assertThat(call(BO, "POST", path, form).at("counted")).contains("3 are open");
        form.put("counted", 3);
        assertThat(call(BO, "POST", path, form).body().get("state").asText()).isEqualTo("ACCEPTED");
        for (int i = 0; i < 3; i++) {
            call(BO, "POST", "/api/undo", null);
        }
        undo(MARA, 1);
        call(BO, "POST", "/api/undo", null);
    }

    /** Six late deliveries on record: the plan expects the next one later than promised, and says by how many. */
    @Test
    void theRecordOfAVendorMakesThePlanDistrustItsPromise() throws Exception {
        JsonNode shaft = find("parts", "name", "driveshaft right");
        Instant promised = Instant.parse(shaft.get("arrivalLikely").asText());
        Instant expected = Instant.parse(shaft.get("expected").asText());
        assertThat(expected).isAfter(promised);
        JsonNode vendor = find("vendors", "id", shaft.get("vendorId").asText());
        assertThat(vendor.get("deliveries").asInt()).isEqualTo(6);
        assertThat(vendor.get("usualSlipMinutes").asInt()).isEqualTo(5 * 24 * 60 + 12 * 60);
    }

    @Test
    void badInputIsRefusedAtItsField() throws Exception {
        String before = record();
        ObjectNode form = (ObjectNode) find("parts", "name", "studded tyres, 8");
        String path = "/api/parts/" + form.get("id").asText();
        form.put("price", -1);
        assertThat(call(MARA, "PUT", path, form).at("price")).contains("between 0 and");
        form.put("price", 1e12);
        assertThat(call(MARA, "PUT", path, form).at("price")).contains("between 0 and");
        form.put("price", 10);
        form.put("quantity", 0);
        assertThat(call(MARA, "PUT", path, form).at("quantity")).contains("1 to");
        form.put("quantity", 1);
        form.putArray("neededBy").add(workOf("8", "Load").get("id").asText());
        assertThat(call(MARA, "PUT", path, form).at("neededBy")).contains("own build");
        assertThat(call(MARA, "POST", path + "/order", order("2020-01-01T10:00:00Z"))
                        .at("likely"))
                .contains("after its order");
        assertThat(call(
                                MARA,
                                "PUT",
                                path + "/mates",
                                List.of(Map.of(
                                        "place", "hub", "kind", "THREAD", "carSide", "M13 male", "partSide", "")))
                        .at("0.carSide"))
                .contains("no such thread");
        assertThat(call(
                                MARA,
                                "POST",
                                path + "/inspection",
                                Map.of(
                                        "counted",
                                        1,
                                        "rightVariant",
                                        true,
                                        "sizes",
                                        "",
                                        "damage",
                                        "",
                                        "accepted",
                                        true,
                                        "reason",
                                        ""))
                        .at("counted"))
                .contains("not been ordered");
        String slip = find("vendors", "name", "Slip Hose & Fittings").get("id").asText();
        assertThat(call(MARA, "DELETE", "/api/vendors/" + slip, null).at("vendor"))
                .contains("Parts still come");
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void aKitIsCompleteBeforeAJobThatNeedsAnyOfItStarts() throws Exception {
        JsonNode studs = find("parts", "name", "studded tyres, 8");
        JsonNode shaft = find("parts", "name", "driveshaft, long travel");
        for (JsonNode part : List.of(studs, shaft)) {
            ((ObjectNode) part).put("kit", "on ice");
            assertThat(call(MARA, "PUT", "/api/parts/" + part.get("id").asText(), part)
                            .status())
                    .isEqualTo(204);
        }
        JsonNode job = find("works", "id", studs.at("/neededBy/0").asText());
        assertThat(find("parts", "name", "driveshaft, long travel")
                        .get("neededBy")
                        .toString())
                .contains(job.get("id").asText());
        assertThat(call(SEF, "GET", "/api/desk", null).body().get("kits").toString())
                .contains("\"here\":0,\"all\":2");
        undo(MARA, 2);
    }

    @Test
    void theShelfGivesOnlyWhatIsFree() throws Exception {
        String shelf =
                call(SEF, "GET", "/api/desk", null).body().at("/shelf/0/id").asText();
        ObjectNode tyres = (ObjectNode) find("parts", "name", "studded tyres, 8");
        tyres.put("quantity", 8);
        String path = "/api/parts/" + tyres.get("id").asText();
        call(MARA, "PUT", path, tyres);
        assertThat(call(MARA, "POST", path + "/take", Map.of("shelfId", shelf)).at("shelfId"))
                .contains("Only 2");
        undo(MARA, 1);
        assertThat(call(MARA, "POST", path + "/take", Map.of("shelfId", shelf)).status())
                .isEqualTo(204);
        assertThat(find("parts", "name", "studded tyres, 8").get("state").asText())
                .isEqualTo("ACCEPTED");
        undo(MARA, 1);
    }

    @Test
    void aWordIsNotedAndMovesTheDate() throws Exception {
        String hoses = partId("oil cooler hoses, −10");
        String path = "/api/parts/" + hoses + "/words";
        assertThat(call(MARA, "POST", path, Map.of("said", " ")).at("said")).contains("What did they say");
        assertThat(call(MARA, "POST", path, Map.of("said", "soon", "nextAt", "2020-01-01T10:00:00Z"))
                        .at("nextAt"))
                .contains("has passed");
        Map<String, Object> word = order(LATE_ENOUGH);
        word.put("said", "Ferrules missing, two weeks.");
        assertThat(call(MARA, "POST", path, word).status()).isEqualTo(204);
        assertThat(find("parts", "id", hoses).get("arrivalLikely").asText()).isEqualTo(LATE_ENOUGH);
        assertThat(call(MARA, "GET", "/api/parts/" + hoses, null)
                        .body()
                        .at("/words/0/said")
                        .asText())
                .contains("Ferrules");
        undo(MARA, 1);
    }

    @Test
    void partsGoOutAsATableAndComeBackTheSame() throws Exception {
        String korm = find("cars", "name", "Korm truck").get("id").asText();
        String path = "/api/builds/" + korm;
        String table = text(path + "/parts.csv");
        assertThat(table).contains("wishbone bushes,8,arrived,Slip Hose & Fittings,148.20," + day(0) + ",");
        assertThat(upload(SEF, path + "/parts/import", table.getBytes(StandardCharsets.UTF_8))
                        .body()
                        .get("parts")
                        .asInt())
                .isEqualTo(1);
        String twice = text(path + "/parts.csv");
        assertThat(twice.lines().skip(1).distinct()).hasSize(1);
        call(SEF, "POST", "/api/undo", null);
        String formula = "part,specification\r\n=HYPERLINK(1),+cmd\r\n";
        upload(SEF, path + "/parts/import", formula.getBytes(StandardCharsets.UTF_8));
        assertThat(text(path + "/parts.csv")).contains("'=HYPERLINK(1)").contains("'+cmd");
        call(SEF, "POST", "/api/undo", null);
        assertThat(text(path + "/parts.csv")).isEqualTo(table);
    }

    private String text(String path) throws Exception {
        return mvc.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get(path)
                        .cookie(session(MARA)))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void everyLineOfATableThatIsWrongIsTold() throws Exception {
        String korm = find("cars", "name", "Korm truck").get("id").asText();
        String before = record();
        String table = """
                part,quantity,state,vendor,price,promised,needed by
                bolt,2,wanted,Nobody & Sons,1.50,2026-12-01,
                ,many,wanted,,free,soon,Paint the moon
                """;
        Answer answer = upload(SEF, "/api/builds/" + korm + "/parts/preview", table.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.at("line 2, vendor")).contains("Nobody & Sons");
        assertThat(answer.at("line 3, quantity")).contains("no number");
        assertThat(answer.at("line 3, price")).contains("no number");
        assertThat(answer.at("line 3, promised")).contains("no day");
        assertThat(answer.at("line 3, needed by")).contains("Paint the moon");
        assertThat(answer.at("line 3, name")).contains("needs a name");
        assertThat(upload(SEF, "/api/builds/" + korm + "/parts/import", table.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(422);
        assertThat(record()).isEqualTo(before);
    }

    /** Another shaft is taken: the car's sides stay, its own are asked anew, and the old order must be called off. */
    @Test
    void anotherPartInsteadKeepsWhatTheCarHas() throws Exception {
        String before = record();
        String shaft = partId("driveshaft, long travel");
        String path = "/api/parts/" + shaft;
        Map<String, Object> instead = Map.of("name", "driveshaft, plunging", "price", 610, "reason", " ");
        assertThat(call(SEF, "POST", path + "/instead", instead).at("reason")).contains("Why another one");
        Map<String, Object> good = Map.of(
                "name", "driveshaft, plunging", "vendorId", "anchor", "price", 610, "reason", "theirs is back-ordered");
        assertThat(call(BO, "POST", path + "/instead", good).status()).isEqualTo(403);
        assertThat(call(MARA, "POST", path + "/instead", good).status()).isEqualTo(204);
        JsonNode line = find("parts", "id", shaft);
        assertThat(line.get("name").asText()).isEqualTo("driveshaft, plunging");
        assertThat(line.has("arrivalLikely")).isFalse();
        assertThat(line.get("neededBy")).isNotEmpty();
        JsonNode detail = call(SEF, "GET", path, null).body();
        assertThat(detail.get("insteadOf").asText()).isEqualTo("driveshaft, long travel");
        assertThat(detail.at("/mates/0/carSide").asText()).isEqualTo("26 x 30 female");
        assertThat(detail.at("/mates/0/outcome").asText()).isEqualTo("UNKNOWN");
        assertThat(detail.at("/words/0/said").asText()).contains("theirs is back-ordered");
        undo(MARA, 1);
        String left = partId("driveshaft left");
        assertThat(call(SEF, "POST", "/api/parts/" + left + "/instead", good).at("name"))
                .contains("is here");
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void severalLinesOfAVendorAreOrderedTogetherOrNotAtAll() throws Exception {
        String before = record();
        String tyres = partId("studded tyres, 8");
        String shaft = partId("driveshaft, long travel");
        String tarnside = find("parts", "id", tyres).get("vendorId").asText();
        String path = "/api/vendors/" + tarnside + "/orders";
        Map<String, Object> basket = new HashMap<>(Map.of(
                "low",
                LATE_ENOUGH,
                "likely",
                LATE_ENOUGH,
                "high",
                LATE_ENOUGH,
                "lines",
                List.of(Map.of("partId", tyres, "price", 192), Map.of("partId", shaft, "price", -3))));
        Answer wrong = call(SEF, "POST", path, basket);
        assertThat(wrong.at("lines.1")).contains("is not to come from");
        assertThat(record()).as("none of them").isEqualTo(before);
        basket.put("lines", List.of());
        assertThat(call(SEF, "POST", path, basket).at("lines")).contains("Tick");
        basket.put("lines", List.of(Map.of("partId", tyres, "price", 192)));
        assertThat(call(BO, "POST", path, basket).status()).isEqualTo(403);
        assertThat(call(MARA, "POST", path, basket).status()).isEqualTo(204);
        assertThat(find("parts", "id", tyres).get("state").asText()).isEqualTo("ORDERED");
        undo(MARA, 1);
        assertThat(record()).isEqualTo(before);
    }

    /** Eight of the vendor's working days by its list, after the one whose closing time is still to come. */
    @Test
    void aPartOnAPriceListComesAsIfItWereOrderedNow() throws Exception {
        JsonNode tyres = find("parts", "name", "studded tyres, 8");
        Map<Integer, LocalTime> closes = new HashMap<>();
        find("vendors", "id", tyres.get("vendorId").asText())
                .get("hours")
                .forEach(h -> closes.merge(
                        h.get("day").asInt(), LocalTime.parse(h.get("end").asText()), (a, b) -> a.isAfter(b) ? a : b));
        LocalDate day = LocalDate.parse(day(0));
        boolean over = !START.atZone(ZONE)
                .toLocalTime()
                .isBefore(closes.getOrDefault(day.getDayOfWeek().getValue(), LocalTime.MIN));
        for (int left = over ? 9 : 8;
                left > 0;
                left -= closes.containsKey(day.getDayOfWeek().getValue()) ? 1 : 0) {
            day = day.plusDays(1);
        }
        assertThat(tyres.get("expected").asText()).startsWith(day + "T");
    }

    @Test
    void aBoltIsTightenedByItsThreadAndClass() throws Exception {
        JsonNode bolt = call(BO, "GET", "/api/bolt?thread=M12x1.25&strength=C8_8&lubrication=DRY", null)
                .body();
        assertThat(bolt.get("torque").asDouble()).isBetween(95.0, 97.0);
        assertThat(call(BO, "GET", "/api/bolt?thread=M12x9&strength=C8_8&lubrication=DRY", null)
                        .at("thread"))
                .contains("no thread of the tables");
        assertThat(call(BO, "GET", "/api/bolt?thread=3/8-24&strength=C8_8&lubrication=DRY", null)
                        .at("thread"))
                .contains("metric bolts");
    }
}
