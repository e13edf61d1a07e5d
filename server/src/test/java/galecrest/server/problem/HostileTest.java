package galecrest.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Planner;
import galecrest.core.plan.ShopSnapshot;
import galecrest.server.ServerTest;
import galecrest.server.exchange.CoreJson;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Whatever is asked of it, the server answers, refuses without a trace what it refuses, and plans what is there. */
@DirtiesContext
class HostileTest extends ServerTest {
    private static final int REQUESTS = 900;

    @Autowired
    private JdbcClient db;

    /** A database of its own, since nobody undoes what is done here. */
    @DynamicPropertySource
    static void aDatabaseOfItsOwn(DynamicPropertyRegistry properties) throws SQLException {
        String url = System.getenv("SPRING_DATASOURCE_URL");
        String name = url.substring(url.lastIndexOf('/') + 1) + "_hostile";
        try (Connection connection = DriverManager.getConnection(
                        url, System.getenv("SPRING_DATASOURCE_USERNAME"), System.getenv("SPRING_DATASOURCE_PASSWORD"));
                Statement statement = connection.createStatement()) {
            statement.execute("drop database if exists " + name + " with (force)");
            statement.execute("create database " + name);
        }
        properties.add("spring.datasource.url", () -> url + "_hostile");
        properties.add("galecrest.live", () -> false);
        properties.add("springdoc.api-docs.enabled", () -> true);
    }

    private long lastChange() {
        return db.sql("select coalesce(max(id), 0) from change")
                .query(Long.class)
                .single();
    }

    @Test
    void whateverIsAskedIsAnsweredAndRefusedWithoutATrace() throws Exception {
        JsonNode description = call(MARA, "GET", "/v3/api-docs", null).body();
        Requests requests = new Requests(description, board(), new Random(7));
        assertThat(requests.endpoints()).isGreaterThan(80);
        TreeMap<Integer, Integer> answers = new TreeMap<>();
        for (int i = 0; i < REQUESTS; i++) {
            Requests.Request request = requests.next();
            long before = lastChange();
            int status =
                    call(MARA, request.method(), request.path(), request.body()).status();
            answers.merge(status / 100, 1, Integer::sum);
            assertThat(status).as("%s", request).isLessThan(500);
            if (status >= 400) {
                assertThat(lastChange()).as("%s", request).isEqualTo(before);
            }
        }
        assertThat(answers.get(2)).as("what was done, of " + answers).isGreaterThan(REQUESTS / 10);
        assertThat(call(MARA, "GET", "/api/board", null).status()).isEqualTo(200);
        ShopSnapshot shop = CoreJson.mapper()
                .treeToValue(call(MARA, "GET", "/api/snapshot", null).body(), ShopSnapshot.class);
        assertThat(PlanAudit.violations(shop, Planner.plan(shop, PlanOptions.interactive(shop))))
                .isEmpty();
    }
}
