package galecrest.server.photo;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.Map;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Photos of a build: taken by anybody, released by the manager, gone and back again by undo. */
class PhotoTest extends ServerTest {
    private static final int RED = 0xC04020;

    private String photos;

    @BeforeEach
    void ofACar() throws Exception {
        photos = "/api/builds/" + find("cars", "number", "61").get("id").asText() + "/photos";
    }

    private static byte[] picture(int width, int height) throws Exception {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        var pen = image.createGraphics();
        pen.setColor(new Color(RED));
        pen.fillRect(0, 0, width, height);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private String take(Account who, int width, int height) throws Exception {
        return upload(who, photos, picture(width, height)).body().get("id").asText();
    }

    private MockHttpServletResponse open(Account who, String path) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(path).cookie(session(who)))
                .andReturn()
                .getResponse();
    }

    private JsonNode listed(String id) throws Exception {
        return StreamSupport.stream(call(MARA, "GET", photos, null).body().spliterator(), false)
                .filter(p -> p.get("id").asText().equals(id))
                .findFirst()
                .orElse(null);
    }

    @Test
    void aHandsPhotoIsSeenWholeAndSmallAndSaysWhoTookIt() throws Exception {
        String id = take(BO, 1600, 400);
        JsonNode one = listed(id);
        assertThat(one.get("by").asText()).isEqualTo("Bo");
        assertThat(one.get("released").asBoolean()).isFalse();
        assertThat(one.get("width").asInt()).isEqualTo(4 * one.get("height").asInt());
        MockHttpServletResponse whole = open(SEF, "/api/photos/" + id);
        BufferedImage large = ImageIO.read(new ByteArrayInputStream(whole.getContentAsByteArray()));
        BufferedImage small = ImageIO.read(new ByteArrayInputStream(
                open(SEF, "/api/photos/" + id + "/small").getContentAsByteArray()));
        assertThat(small.getWidth()).isLessThan(large.getWidth());
        assertThat(small.getWidth() / (double) small.getHeight()).isBetween(3.8, 4.2);
        Color seen = new Color(small.getRGB(small.getWidth() / 2, small.getHeight() / 2));
        assertThat(seen.getRed()).isBetween(180, 204);
        assertThat(seen.getBlue()).isBetween(20, 44);
        assertThat(whole.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
        assertThat(call(SEF, "DELETE", "/api/photos/" + id, null).status()).isEqualTo(204);
        assertThat(listed(id)).isNull();
    }

    @Test
    void onlyTheManagerReleasesAndOnlyLeadOrManagerRemove() throws Exception {
        String id = take(BO, 40, 40);
        for (Account who : new Account[] {BO, SEF}) {
            assertThat(call(who, "POST", "/api/photos/" + id + "/release", Map.of("released", true))
                            .status())
                    .isEqualTo(403);
        }
        assertThat(call(MARA, "POST", "/api/photos/" + id + "/release", Map.of("released", true))
                        .status())
                .isEqualTo(204);
        assertThat(listed(id).get("released").asBoolean()).isTrue();
        assertThat(call(BO, "DELETE", "/api/photos/" + id, null).status()).isEqualTo(403);
        assertThat(call(SEF, "DELETE", "/api/photos/" + id, null).status()).isEqualTo(204);
        assertThat(listed(id)).isNull();
        assertThat(open(MARA, "/api/photos/" + id).getStatus()).isEqualTo(404);
        undo(SEF, 1);
        assertThat(listed(id).get("released").asBoolean())
                .as("as it was, released")
                .isTrue();
        assertThat(open(MARA, "/api/photos/" + id).getStatus()).isEqualTo(200);
        assertThat(call(MARA, "DELETE", "/api/photos/" + id, null).status()).isEqualTo(204);
    }

    @Test
    void whatIsNoPictureIsRefusedAndNothingIsKept() throws Exception {
        int before = call(MARA, "GET", photos, null).body().size();
        byte[] cut = java.util.Arrays.copyOf(picture(300, 300), 60);
        for (byte[] file : new byte[][] {"<svg onload='x'/>".getBytes(), new byte[0], cut}) {
            Answer refused = upload(BO, photos, file);
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.body().get("problems")).isNotEmpty();
        }
        assertThat(upload(BO, "/api/builds/none/photos", picture(10, 10)).status())
                .isEqualTo(404);
        assertThat(call(MARA, "GET", photos, null).body()).hasSize(before);
        assertThat(open(BO, "/api/photos/none").getStatus()).isEqualTo(404);
    }
}
