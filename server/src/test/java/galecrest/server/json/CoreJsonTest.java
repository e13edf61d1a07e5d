package galecrest.server.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import org.junit.jupiter.api.Test;

class CoreJsonTest {
    private final ObjectMapper json = CoreJson.mapper();

    @Test
    void aSnapshotComesBackAsItWasAndKeepsToItsSchema() throws Exception {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(CoreJsonTest.class.getResourceAsStream("/shop-snapshot.schema.json"));
        for (long seed = 0; seed < 60; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 25);
            String text = json.writeValueAsString(shop);
            assertThat(schema.validate(json.readTree(text))).isEmpty();
            assertThat(json.readValue(text, ShopSnapshot.class)).isEqualTo(shop);
        }
    }
}
