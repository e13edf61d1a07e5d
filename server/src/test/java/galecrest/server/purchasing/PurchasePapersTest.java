package galecrest.server.purchasing;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** What goes to vendors on paper, read back by another library, and what is said on the telephone. */
class PurchasePapersTest extends ServerTest {
    private String text(String path) throws Exception {
        var response = mvc.perform(MockMvcRequestBuilders.get(path).cookie(session(SEF)))
                .andReturn()
                .getResponse();
        assertThat(response.getContentType()).isEqualTo("application/pdf");
        try (var document = Loader.loadPDF(response.getContentAsByteArray())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    private JsonNode part(String state) throws Exception {
        return StreamSupport.stream(board().get("parts").spliterator(), false)
                .filter(p -> p.get("state").asText().equals(state) && p.hasNonNull("vendorId"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPurchaseOrderHasEveryLineOnOrderAndTheirSum() throws Exception {
        String before = record();
        ObjectNode part = (ObjectNode) part("ORDERED");
        String vendor = part.get("vendorId").asText();
        part.put("price", 12.5).put("quantity", 4);
        String path = "/api/parts/" + part.get("id").asText();
        assertThat(call(MARA, "PUT", path, part).status()).isEqualTo(204);
        List<JsonNode> lines = StreamSupport.stream(board().get("parts").spliterator(), false)
                .filter(p -> p.path("vendorId").asText().equals(vendor)
                        && p.get("state").asText().equals("ORDERED"))
                .toList();
        String order = text("/api/vendors/" + vendor + "/purchase-order.pdf");
        assertThat(order)
                .contains("Purchase order", "Brackwater Works", "12.5", "50.0")
                .contains(find("vendors", "id", vendor).get("name").asText());
        assertThat(lines).isNotEmpty().allSatisfy(line -> assertThat(order)
                .contains(line.get("name").asText().split(",")[0]));
        double sum = lines.stream()
                .mapToDouble(l -> l.path("price").asDouble() * l.get("quantity").asInt())
                .sum();
        assertThat(Double.parseDouble(order.replaceAll(".*Sum: (\\d+(\\.\\d+)?).*", "$1")))
                .isEqualTo(sum);
        undo(MARA, 1);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void whereNothingIsOnOrderThereIsNoPurchaseOrder() throws Exception {
        String id = find("vendors", "name", "Quay Rolling Road").get("id").asText();
        Answer none = call(SEF, "GET", "/api/vendors/" + id + "/purchase-order.pdf", null);
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.at("vendorId")).contains("Nothing is on order from Quay Rolling Road");
        assertThat(call(BO, "GET", "/api/vendors/" + id + "/purchase-order.pdf", null)
                        .status())
                .isEqualTo(403);
    }

    @Test
    void aRequestForSpecificationAsksWhatIsOpen() throws Exception {
        String id = find("parts", "name", "driveshaft, long travel").get("id").asText();
        List<Map<String, String>> mates = List.of(
                Map.of("place", "gearbox", "kind", "JOINT", "carSide", "", "partSide", ""),
                Map.of("place", "hub", "kind", "JOINT", "carSide", "", "partSide", ""));
        JsonNode kinds = call(SEF, "GET", "/api/parts/" + id, null).body().get("kinds");
        assertThat(kinds).isNotEmpty();
        String kind = kinds.get(0).get("kind").asText();
        List<Map<String, String>> known = mates.stream()
                .map(m -> {
                    Map<String, String> mate = new HashMap<>(m);
                    mate.put("kind", kind);
                    return mate;
                })
                .map(m -> (Map<String, String>) m)
                .toList();
        assertThat(call(SEF, "PUT", "/api/parts/" + id + "/mates", known).status())
                .isEqualTo(204);
        assertThat(text("/api/parts/" + id + "/specification.pdf"))
                .contains("Request for specification", "driveshaft, long travel", "gearbox", "hub", "Please tell us")
                .contains("This is a question, not an order.");
        undo(SEF, 1);
        Answer blank = call(
                SEF,
                "PUT",
                "/api/parts/" + id + "/mates",
                List.of(Map.of("place", " ", "kind", kind, "carSide", "", "partSide", "")));
        assertThat(blank.at("0.place")).contains("where the two meet");
    }

    @Test
    void aWordOnOutsideWorkMovesItsReturnOnlyOnceItHasLeft() throws Exception {
        String before = record();
        String paint = find("works", "name", "Shell painted").get("id").asText();
        String path = "/api/outworks/" + paint + "/words";
        Map<String, Object> word = new HashMap<>(Map.of("said", "the booth is free on Monday"));
        assertThat(call(SEF, "POST", path, word).status()).isEqualTo(204);
        String late = at(23, "11:00");
        word.putAll(Map.of("low", late, "likely", late, "high", late));
        assertThat(call(SEF, "POST", path, word).at("likely")).contains("has not left yet");
        call(SEF, "POST", "/api/outworks/" + paint + "/send", Map.of("anyway", true));
        assertThat(call(SEF, "POST", path, word).status()).isEqualTo(204);
        assertThat(find("works", "id", paint).at("/placed/end").asText()).startsWith(day(23));
        assertThat(call(SEF, "POST", "/api/outworks/none/words", word).status()).isEqualTo(404);
        undo(SEF, 3);
        assertThat(record()).isEqualTo(before);
    }

    @Test
    void theOrderForOutsideWorkIsWritten() throws Exception {
        String before = record();
        String paint = find("works", "name", "Shell painted").get("id").asText();
        Map<String, Object> sheet =
                new HashMap<>(Map.of("specification", "satin, 60 µm", "driver", "Bo", "trailer", true, "price", -1));
        assertThat(call(SEF, "PUT", "/api/outworks/" + paint + "/sheet", sheet).at("price"))
                .contains("between 0 and");
        sheet.put("price", 480);
        assertThat(call(SEF, "PUT", "/api/outworks/" + paint + "/sheet", sheet).status())
                .isEqualTo(204);
        JsonNode written = call(SEF, "GET", "/api/outworks/" + paint, null).body();
        assertThat(written.get("specification").asText()).isEqualTo("satin, 60 µm");
        assertThat(written.get("trailer").asBoolean()).isTrue();
        undo(SEF, 1);
        assertThat(record()).isEqualTo(before);
    }
}
