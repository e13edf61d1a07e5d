package galecrest.server.offer;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;

/** Nobody waits for the long thinking where a hard date can be saved: the offer is there with the answer to the edit. */
class OfferAtOnceTest extends ServerTest {
    @Autowired
    private JdbcClient db;

    @Autowired
    private PlatformTransactionManager transactions;

    /** What others were offered is not undone with what they did. */
    @BeforeEach
    void nothingIsOnOffer() {
        new Amended(db, transactions).by("delete from offer");
    }

    @Test
    void whatSavesAHardDateIsOfferedWithTheAnswer() throws Exception {
        signIn(MARA);
        String date =
                find("commitments", "name", "Greyfell hill climb").path("id").asText();
        String load = workOf("61", "Load").path("id").asText();
        String pin = call(
                        MARA, "POST", "/api/pins", Map.of("workId", load, "kind", "NOT_BEFORE", "at", at(15, "08:00")))
                .body()
                .path("id")
                .asText();
        assertThat(find("commitments", "id", date).path("marginMinutes").asLong())
                .isNegative();
        assertThat(call(MARA, "POST", "/api/plan/publish", null).status()).isEqualTo(204);
        assertThat(call(MARA, "DELETE", "/api/pins/" + pin, null).status()).isEqualTo(204);

        JsonNode offers = call(MARA, "GET", "/api/offers", null).body();
        assertThat(offers).hasSize(1);
        assertThat(offers.get(0).path("headline").asText())
                .contains("Greyfell hill climb")
                .contains("to spare");
        String offer = "/api/offers/" + offers.get(0).path("id").asText();
        assertThat(call(MARA, "POST", offer + "/take", null).status()).isEqualTo(204);
        assertThat(find("commitments", "id", date).path("marginMinutes").asLong())
                .isPositive();
        undo(MARA, 1);
        assertThat(find("commitments", "id", date).path("marginMinutes").asLong())
                .isNegative();
        assertThat(call(MARA, "POST", offer + "/dismiss", null).status()).isEqualTo(204);
        assertThat(call(MARA, "GET", "/api/offers", null).body())
                .as("turned down, it is not made again")
                .isEmpty();
        undo(MARA, 4);
    }
}
