package galecrest.server.snapshot;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.LongNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.server.ServerTest;
import galecrest.server.json.CoreJson;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** A shop of one's own, from nothing. */
@ActiveProfiles(value = "own", inheritProfiles = false)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class EmptyShopTest extends ServerTest {
    private static final List<JsonNode> VALUES = List.of(
            NullNode.instance,
            TextNode.valueOf(""),
            TextNode.valueOf("no such thing"),
            TextNode.valueOf("a\u0000b"),
            TextNode.valueOf("2026-13-45T00:00:00Z"),
            TextNode.valueOf("+999999999-01-01T00:00:00Z"),
            TextNode.valueOf("PT999999999H"),
            IntNode.valueOf(-1),
            LongNode.valueOf(Long.MAX_VALUE),
            DoubleNode.valueOf(1e300),
            BooleanNode.TRUE,
            JsonNodeFactory.instance.arrayNode(),
            JsonNodeFactory.instance.objectNode());

    @DynamicPropertySource
    static void anEmptyDatabase(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", () -> System.getenv("SPRING_DATASOURCE_URL") + "_empty");
        properties.add("galecrest.first.manager", () -> "mara");
        properties.add("galecrest.first.password", () -> "brackwater");
    }

    @Test
    @Order(1)
    void nothingIsThereAndNothingBreaks() throws Exception {
        assertThat(board().get("cars")).isEmpty();
        assertThat(call(MARA, "GET", "/api/shop", null).status()).isEqualTo(200);
        assertThat(call(MARA, "POST", "/api/undo", null).at("undo")).contains("nothing of this session");
        assertThat(call(MARA, "POST", "/api/plan/publish", null).status()).isEqualTo(204);
    }

    @Test
    @Order(2)
    void aWrongSnapshotSaysWhere() throws Exception {
        assertThat(upload(MARA, "/api/snapshot", "nonsense".getBytes(StandardCharsets.UTF_8))
                        .at("file"))
                .contains("no JSON");
        assertThat(upload(
                                MARA,
                                "/api/snapshot",
                                ("{\"works\":[" + "{},".repeat(60_000) + "{}]}").getBytes(StandardCharsets.UTF_8))
                        .at("file"))
                .contains("60001 lines of works; at most 50000");
        ObjectNode snapshot =
                (ObjectNode) CoreJson.mapper().readTree(CoreJson.mapper().writeValueAsString(RandomShops.shop(5, 10)));
        snapshot.remove("works");
        Answer answer = upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(snapshot));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().toString()).contains("works");
        assertThat(board().get("people")).isEmpty();
    }

    /** A snapshot in which a value was lost or written over is taken in whole, and undone, or leaves nothing behind. */
    @Test
    @Order(3)
    void aSpoiltSnapshotIsTakenInWholeOrNotAtAll() throws Exception {
        Random random = new Random(3);
        int taken = 0;
        int refused = 0;
        for (int i = 0; i < 120; i++) {
            JsonNode snapshot = CoreJson.mapper().valueToTree(RandomShops.shop(i, 8));
            for (int k = random.nextInt(3); k >= 0; k--) {
                spoil(snapshot, random);
            }
            Answer answer = upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(snapshot));
            assertThat(answer.status()).as("%s", snapshot).isIn(204, 422);
            if (answer.status() == 204) {
                taken++;
                assertThat(call(MARA, "GET", "/api/board", null).status())
                        .as("%s", snapshot)
                        .isEqualTo(200);
                undo(MARA, 1);
            } else {
                refused++;
                assertThat(answer.body().get("problems"))
                        .as("%s of %s", answer.body(), snapshot)
                        .isNotEmpty();
            }
            assertThat(board().get("people")).isEmpty();
            assertThat(board().get("works")).isEmpty();
        }
        assertThat(taken).isPositive();
        assertThat(refused).isGreaterThan(taken / 4);
    }

    /** Somewhere in the tree: a field lost, or another value in its place. */
    private static void spoil(JsonNode tree, Random random) {
        JsonNode at = tree;
        while (true) {
            if (at instanceof ObjectNode object && !object.isEmpty()) {
                List<String> fields = new ArrayList<>();
                object.fieldNames().forEachRemaining(fields::add);
                String field = fields.get(random.nextInt(fields.size()));
                if (object.get(field).isContainerNode() && random.nextInt(8) > 0) {
                    at = object.get(field);
                } else if (random.nextBoolean()) {
                    object.remove(field);
                    return;
                } else {
                    object.set(field, VALUES.get(random.nextInt(VALUES.size())));
                    return;
                }
            } else if (at instanceof ArrayNode array && !array.isEmpty()) {
                int place = random.nextInt(array.size());
                if (array.get(place).isContainerNode()) {
                    at = array.get(place);
                } else {
                    array.remove(place);
                    return;
                }
            } else {
                return;
            }
        }
    }

    /** The dates but for those of booked slots, which come from the bookings. */
    private static List<Commitment> entered(ShopSnapshot shop) {
        return shop.commitments().stream().filter(c -> c.slotOf().isEmpty()).toList();
    }

    @Test
    @Order(4)
    void aSnapshotFillsTheEmptyShopAndComesOutAgain() throws Exception {
        ShopSnapshot shop = LongStream.iterate(3, seed -> seed + 3)
                .mapToObj(seed -> RandomShops.shop(seed, 30))
                .filter(s -> s.parts().stream()
                        .allMatch(p ->
                                p.vendor().map(v -> s.vendor(v).isPresent()).orElse(true)))
                .findFirst()
                .orElseThrow();
        Answer answer = upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(shop));
        assertThat(answer.body().toString()).isEqualTo("{}");
        ShopSnapshot back = SnapshotFile.read(
                        CoreJson.mapper(),
                        call(MARA, "GET", "/api/snapshot", null).body())
                .shop();
        assertThat(back.published().orElseThrow().byWork().keySet())
                .isEqualTo(shop.published().orElseThrow().byWork().keySet());
        assertThat(back.people()).hasSameSizeAs(shop.people());
        for (int i = 0; i < back.people().size(); i++) {
            assertThat(back.people().get(i).shifts())
                    .containsExactlyInAnyOrderElementsOf(shop.people().get(i).shifts());
            assertThat(back.people().get(i).skills())
                    .isEqualTo(shop.people().get(i).skills());
        }
        assertThat(back.stations()).isEqualTo(shop.stations());
        assertThat(entered(back)).containsExactlyInAnyOrderElementsOf(entered(shop));
        assertThat(back.pins()).containsExactlyInAnyOrderElementsOf(shop.pins());
        assertThat(back.works()).hasSameSizeAs(shop.works());
        assertThat(upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(shop))
                        .at("file"))
                .contains("empty shop");
    }
}
