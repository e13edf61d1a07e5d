package galecrest.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.server.ServerTest;
import galecrest.server.json.CoreJson;
import galecrest.server.snapshot.SnapshotFile;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Whatever is asked of it, the server answers, refuses without a trace what it refuses, and plans what is there. */
@DirtiesContext
@Timeout(value = 20 * 60, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
class HostileTest extends ServerTest {
    /** So many times the usual number, for a longer run. */
    private static final int TIMES = Integer.parseInt(System.getenv().getOrDefault("GALECREST_HOSTILE", "1"));

    private static final int REQUESTS = 8_000 * TIMES;
    private static final int TABLES = 400 * TIMES;

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
        theShopIsSound();
    }

    @Test
    void whateverTableIsGivenItIsTakenInWholeOrRefusedWithoutATrace() throws Exception {
        Sheets sheets = new Sheets(new Random(11));
        String build = "/api/builds/" + find("cars", "number", "112").get("id").asText();
        TreeMap<String, Integer> answers = new TreeMap<>();
        for (String kind : new String[] {"jobs", "parts", "outwork"}) {
            String table = mvc.perform(MockMvcRequestBuilders.get(build + "/" + kind + ".csv")
                            .cookie(session(MARA)))
                    .andReturn()
                    .getResponse()
                    .getContentAsString(StandardCharsets.UTF_8);
            for (int i = 0; i < TABLES; i++) {
                byte[] file = sheets.spoilt(table);
                long before = lastChange();
                Answer preview = upload(MARA, build + "/" + kind + "/preview", file);
                assertThat(lastChange()).isEqualTo(before);
                Answer taken = upload(MARA, build + "/" + kind + "/import", file);
                String said = kind + " " + new String(file, StandardCharsets.UTF_8);
                assertThat(preview.status()).as(said).isIn(200, 422);
                assertThat(taken.status()).as(said).isIn(200, 422);
                answers.merge(kind + " " + taken.status(), 1, Integer::sum);
                if (taken.status() == 422) {
                    assertThat(lastChange()).as(said).isEqualTo(before);
                    assertThat(taken.body().get("problems")).as(said).isNotEmpty();
                } else {
                    undo(MARA, 1);
                }
            }
        }
        assertThat(answers).as("each kind is taken and refused").hasSize(6);
        theShopIsSound();
    }

    private void theShopIsSound() throws Exception {
        assertThat(call(MARA, "GET", "/api/board", null).status()).isEqualTo(200);
        ShopSnapshot shop = SnapshotFile.read(
                        CoreJson.mapper(),
                        call(MARA, "GET", "/api/snapshot", null).body())
                .shop();
        assertThat(PlanAudit.violations(shop, Planner.plan(shop, PlanOptions.interactive(shop))))
                .isEmpty();
    }
}
