package galecrest.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
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
        ObjectNode snapshot =
                (ObjectNode) CoreJson.mapper().readTree(CoreJson.mapper().writeValueAsString(RandomShops.shop(5, 10)));
        snapshot.remove("works");
        Answer answer = upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(snapshot));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().toString()).contains("works");
        assertThat(board().get("people")).isEmpty();
    }

    @Test
    @Order(3)
    void aSnapshotFillsTheEmptyShopAndComesOutAgain() throws Exception {
        ShopSnapshot shop = RandomShops.shop(7, 30);
        Answer answer = upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(shop));
        assertThat(answer.body().toString()).isEqualTo("{}");
        ShopSnapshot back = CoreJson.mapper()
                .readValue(call(MARA, "GET", "/api/snapshot", null).body().toString(), ShopSnapshot.class);
        assertThat(back.people()).hasSameSizeAs(shop.people());
        for (int i = 0; i < back.people().size(); i++) {
            assertThat(back.people().get(i).shifts())
                    .containsExactlyInAnyOrderElementsOf(shop.people().get(i).shifts());
            assertThat(back.people().get(i).skills())
                    .isEqualTo(shop.people().get(i).skills());
        }
        assertThat(back.stations()).isEqualTo(shop.stations());
        assertThat(back.commitments()).containsExactlyInAnyOrderElementsOf(shop.commitments());
        assertThat(back.pins()).containsExactlyInAnyOrderElementsOf(shop.pins());
        assertThat(back.works()).hasSameSizeAs(shop.works());
        assertThat(upload(MARA, "/api/snapshot", CoreJson.mapper().writeValueAsBytes(shop))
                        .at("file"))
                .contains("empty shop");
    }
}
