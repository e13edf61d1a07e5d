package galecrest.server.customer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;

class CustomerTest extends ServerTest {
    @Autowired
    private JdbcClient db;

    private String car(String name) throws Exception {
        return find("cars", "name", name).get("id").asText();
    }

    private JsonNode link(String car, boolean money) throws Exception {
        Answer made = call(MARA, "POST", "/api/builds/" + car + "/customer-links", Map.of("days", 30, "money", money));
        assertThat(made.status()).isEqualTo(200);
        return made.body();
    }

    private static String api(JsonNode link) {
        return "/api/customer/" + link.get("path").asText().substring(3);
    }

    private MockHttpServletResponse open(String path) throws Exception {
        return mvc.perform(get(path)).andReturn().getResponse();
    }

    private static Map<String, Object> wish(int hours) {
        return new HashMap<>(Map.of(
                "title",
                "Bigger oil cooler",
                "note",
                "",
                "hours",
                hours,
                "skill",
                "fit",
                "gate",
                "EVENT",
                "parts",
                250.5,
                "outwork",
                0));
    }

    @Test
    void aChangeIsPricedWithItsDatesAndAcceptedOnTheCustomersPage() throws Exception {
        String car = car("Lunnet roadster");
        String before = record();
        JsonNode priced = call(MARA, "POST", "/api/ledger/" + car + "/changes/price", wish(40))
                .body();
        assertThat(priced.get("total").asText()).isEqualTo("3770.5");
        assertThat(priced.get("effect")).isNotEmpty();
        assertThat(record()).isEqualTo(before);
        String order = call(MARA, "POST", "/api/ledger/" + car + "/changes", wish(40))
                .body()
                .get("id")
                .asText();
        JsonNode link = link(car, false);
        JsonNode page = json.readTree(open(api(link)).getContentAsString(StandardCharsets.UTF_8));
        assertThat(page.at("/changes/0/total").asText()).isEqualTo("3770.5");
        assertThat(page.at("/changes/0/effect/0/name").asText()).isEqualTo("Hand-over before the holidays");
        assertThat(page.get("waitsForYou").toString()).contains("Your yes or no: Bigger oil cooler");
        assertThat(page.has("money")).isFalse();
        String answer = api(link) + "/changes/" + order;
        assertThat(answer(answer, "").getStatus()).isEqualTo(422);
        assertThat(answer(answer, "Dr. A. Merrow").getStatus()).isEqualTo(204);
        assertThat(answer(answer, "Dr. A. Merrow").getStatus()).isEqualTo(409);
        assertThat(find("works", "name", "Bigger oil cooler").get("buildId").asText())
                .isEqualTo(car);
        assertThat(find("parts", "name", "parts for: Bigger oil cooler")
                        .get("price")
                        .asDouble())
                .isEqualTo(250.5);
        assertThat(call(MARA, "GET", "/api/journal", null)
                        .body()
                        .get(0)
                        .get("actor")
                        .asText())
                .isEqualTo("Dr. A. Merrow (customer)");
        assertThat(call(MARA, "GET", "/api/ledger/" + car, null)
                        .body()
                        .at("/summary/agreed")
                        .asDouble())
                .isEqualTo(18262 + 3770.5);
        String part =
                find("parts", "name", "parts for: Bigger oil cooler").get("id").asText();
        call(MARA, "DELETE", "/api/parts/" + part, null);
        String job = find("works", "name", "Bigger oil cooler").get("id").asText();
        assertThat(call(MARA, "DELETE", "/api/works/" + job, null).status()).isEqualTo(204);
    }

    private MockHttpServletResponse answer(String path, String name) throws Exception {
        return mvc.perform(post(path)
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(json.writeValueAsString(Map.of("accept", true, "name", name, "note", ""))))
                .andReturn()
                .getResponse();
    }

    /** An altered, an ended and a revoked link answer alike; nothing tells whether there ever was one. */
    @Test
    void aLinkThatIsNoneTellsNothing() throws Exception {
        JsonNode link = link(car("Korm truck"), true);
        assertThat(open(api(link)).getStatus()).isEqualTo(200);
        String path = api(link);
        String altered = path.substring(0, path.length() - 1) + (path.endsWith("_") ? "-" : "_");
        String never =
                json.readTree(open(altered).getContentAsString()).get("detail").asText();
        assertThat(open(altered).getStatus()).isEqualTo(404);
        call(MARA, "POST", "/api/customer-links/" + link.get("id").asText() + "/revoke", null);
        MockHttpServletResponse revoked = open(api(link));
        assertThat(revoked.getStatus()).isEqualTo(404);
        assertThat(json.readTree(revoked.getContentAsString()).get("detail").asText())
                .isEqualTo(never);
        assertThat(open(api(link) + "/report.pdf").getStatus()).isEqualTo(404);
        assertThat(db.sql("select count(*) from customer_link where hash = :token")
                        .param("token", link.get("path").asText().substring(3))
                        .query(Integer.class)
                        .single())
                .as("the token itself is kept nowhere")
                .isZero();
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/builds/" + car("Korm truck") + "/customer-links",
                                Map.of("days", 0, "money", true))
                        .at("days"))
                .contains("1 to 400");
    }

    @Test
    void aLinkReachesOneBuildsReleasedFactsAndNothingElse() throws Exception {
        String mine = car("Korm truck");
        String other = car("Hask touring car");
        String photo = upload(SEF, "/api/builds/" + mine + "/photos", picture())
                .body()
                .get("id")
                .asText();
        String foreign = upload(SEF, "/api/builds/" + other + "/photos", picture())
                .body()
                .get("id")
                .asText();
        String theirs = call(MARA, "POST", "/api/ledger/" + other + "/changes", wish(2))
                .body()
                .get("id")
                .asText();
        call(MARA, "POST", "/api/photos/" + foreign + "/release", Map.of("released", true));
        JsonNode link = link(mine, true);
        assertThat(open(api(link) + "/photos/" + photo).getStatus()).isEqualTo(404);
        call(MARA, "POST", "/api/photos/" + photo + "/release", Map.of("released", true));
        assertThat(open(api(link) + "/photos/" + photo).getContentType()).isEqualTo("image/jpeg");
        assertThat(open(api(link) + "/photos/" + foreign).getStatus()).isEqualTo(404);
        assertThat(answer(api(link) + "/changes/" + theirs, "E. Other").getStatus())
                .isEqualTo(404);
        String page = open(api(link)).getContentAsString(StandardCharsets.UTF_8);
        assertThat(page).contains("Korm truck").contains("\"money\"");
        assertThat(page).doesNotContain("Hask").doesNotContain("Crane Moor").doesNotContain("hourRate");
        for (String path : new String[] {"/api/board", "/api/desk", "/api/ledger", "/api/builds/" + mine + "/photos"}) {
            assertThat(open(path).getStatus()).as(path).isEqualTo(401);
        }
        byte[] pdf = open(api(link) + "/report.pdf").getContentAsByteArray();
        try (var document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("440 Korm truck")
                    .contains("almost surely by")
                    .doesNotContain("Hask");
        }
    }

    @Test
    void aPhotoIsOneByItsContent() throws Exception {
        String path = "/api/builds/" + car("Korm truck") + "/photos";
        assertThat(upload(BO, path, "not a picture".getBytes(StandardCharsets.UTF_8))
                        .at("file"))
                .contains("no photo");
        assertThat(upload(BO, path, "GIF89a......".getBytes(StandardCharsets.UTF_8))
                        .at("file"))
                .contains("no photo");
        assertThat(upload(BO, path, "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(StandardCharsets.UTF_8))
                        .at("file"))
                .contains("no photo");
        assertThat(upload(BO, path, new byte[60 * 1024 * 1024]).at("file")).contains("at most 15 MB");
        Answer taken = upload(BO, path, picture());
        assertThat(taken.status()).isEqualTo(200);
        JsonNode photo = call(BO, "GET", path, null).body().get(0);
        assertThat(photo.get("width").asInt()).isEqualTo(1600);
        assertThat(photo.get("released").asBoolean()).isFalse();
        assertThat(call(SEF, "POST", "/api/photos/" + photo.get("id").asText() + "/release", Map.of("released", true))
                        .status())
                .isEqualTo(403);
    }

    private static byte[] picture() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(2000, 1500, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void amountsAreCheckedAtTheirFields() throws Exception {
        String car = car("Korm truck");
        Map<String, Object> wish = wish(2);
        wish.put("parts", -5);
        assertThat(call(MARA, "POST", "/api/ledger/" + car + "/changes", wish).at("parts"))
                .contains("between 0");
        wish.put("parts", 1e15);
        assertThat(call(MARA, "POST", "/api/ledger/" + car + "/changes", wish).at("parts"))
                .contains("between 0");
        wish.put("parts", 0);
        wish.put("hours", 100_000);
        assertThat(call(MARA, "POST", "/api/ledger/" + car + "/changes/price", wish)
                        .at("hours"))
                .isNotEmpty();
        assertThat(call(MARA, "POST", "/api/ledger/" + car + "/payments", Map.of("amount", 0, "note", ""))
                        .at("amount"))
                .contains("How much");
        assertThat(call(MARA, "POST", "/api/changes/none/decision", Map.of("accept", true, "note", ""))
                        .status())
                .isEqualTo(422);
        assertThat(call(
                                MARA,
                                "PUT",
                                "/api/ledger/" + car + "/estimate",
                                Map.of("hours", 10, "parts", 0, "outwork", 0, "allowancePercent", 101))
                        .at("allowancePercent"))
                .contains("100");
    }

    /** The manager hands over the same report without a link; money only where it is asked for. */
    @Test
    void theManagerHasTheReportWithoutALink() throws Exception {
        String car = find("cars", "name", "Lunnet roadster").get("id").asText();
        for (boolean money : new boolean[] {false, true}) {
            byte[] pdf = mvc.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get(
                                    "/api/builds/" + car + "/customer-report.pdf?money=" + money)
                            .cookie(session(MARA)))
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray();
            try (var document = Loader.loadPDF(pdf)) {
                String text = new PDFTextStripper().getText(document);
                assertThat(text).contains("Lunnet roadster").contains("almost surely by");
                assertThat(text.contains("Money")).isEqualTo(money);
            }
        }
    }

    @Test
    void aPhotoTakenAwayComesBackByUndo() throws Exception {
        String path = "/api/builds/" + car("Korm truck") + "/photos";
        String photo = upload(MARA, path, picture()).body().get("id").asText();
        call(MARA, "POST", "/api/photos/" + photo + "/release", Map.of("released", true));
        int photos = call(MARA, "GET", path, null).body().size();
        assertThat(call(MARA, "DELETE", "/api/photos/" + photo, null).status()).isEqualTo(204);
        assertThat(call(MARA, "GET", path, null).body()).hasSize(photos - 1);
        call(MARA, "POST", "/api/undo", null);
        var back = call(MARA, "GET", path, null).body();
        assertThat(back).hasSize(photos);
        assertThat(back.toString()).contains(photo);
        assertThat(back.findValuesAsText("released")).contains("true");
        call(MARA, "DELETE", "/api/photos/" + photo, null);
    }
}
