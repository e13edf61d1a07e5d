package galecrest.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.Galecrest;
import galecrest.server.ServerTest;
import galecrest.server.Visitor;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** A server whose wire to the database is cut, falls silent, and is mended. */
class DatabaseAwayTest extends ServerTest {
    private static final Duration SECONDS = Duration.ofSeconds(15);
    private static final Map<String, String> NOTE = Map.of("text", "check the tow strap, front, 20m");

    @Autowired
    private DataSource database;

    private final LinkedBlockingQueue<String> heard = new LinkedBlockingQueue<>();
    private static Wire wire;
    private static ConfigurableApplicationContext server;
    private Visitor mara;
    private String car;

    @BeforeAll
    static void start() throws Exception {
        String url = System.getenv("SPRING_DATASOURCE_URL");
        URI direct = URI.create(url.substring("jdbc:".length()));
        wire = new Wire(direct.getPort());
        server = new SpringApplicationBuilder(Galecrest.class)
                .profiles("demo")
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=jdbc:postgresql://127.0.0.1:" + wire.port() + direct.getPath(),
                        "--spring.datasource.hikari.data-source-properties.socketTimeout=5",
                        "--spring.datasource.hikari.data-source-properties.options=-c lock_timeout=2s",
                        "--galecrest.parcels.watch=false",
                        "--galecrest.start=" + START,
                        "--galecrest.slower=" + SLOWER);
    }

    @BeforeEach
    void listen() throws Exception {
        mara = new Visitor(
                ((ServletWebServerApplicationContext) server).getWebServer().getPort());
        assertThat(mara.signIn("mara", "brackwater").statusCode()).isLessThan(300);
        car = find("cars", "number", "8").get("id").asText();
        var stream = mara.stream("/api/live");
        assertThat(stream.statusCode()).isEqualTo(200);
        Thread ear = new Thread(() -> new BufferedReader(new InputStreamReader(stream.body(), StandardCharsets.UTF_8))
                .lines()
                .forEach(heard::add));
        ear.setDaemon(true);
        ear.start();
        hears("event:beat");
    }

    @AfterAll
    static void stop() throws Exception {
        server.close();
        wire.close();
    }

    private void hears(String line) throws InterruptedException {
        Instant until = Instant.now().plusSeconds(30);
        String said = "";
        while (said != null && !said.equals(line)) {
            said = heard.poll(Duration.between(Instant.now(), until).toMillis(), TimeUnit.MILLISECONDS);
        }
        assertThat(said)
                .as("heard before half a minute was over; the listener is %s", listener())
                .isEqualTo(line);
    }

    /** What the threads are in the middle of that tell screens of news. */
    private static String listener() {
        return Thread.getAllStackTraces().entrySet().stream()
                .filter(t -> t.getKey().getName().startsWith("live"))
                .map(t -> t.getKey().getName() + " at " + Arrays.toString(t.getValue()))
                .collect(Collectors.joining("; "));
    }

    /** Sends something that cannot be done now; the answer says so, and within seconds. */
    private String refused(String method, String path, Object body) throws IOException, InterruptedException {
        Instant sent = Instant.now();
        HttpResponse<String> answer = mara.send(method, path, body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(503);
        assertThat(answer.headers().firstValue("Retry-After")).contains("2");
        assertThat(Duration.between(sent, Instant.now())).isLessThan(SECONDS);
        JsonNode said = json.readTree(answer.body());
        assertThat(said.path("problems").size()).isZero();
        return said.get("title").asText();
    }

    private void worksAgain() throws Exception {
        int status = 0;
        for (int i = 0; i < 20 && status != 200; i++) {
            status = mara.send("GET", "/api/board", null).statusCode();
            Thread.sleep(status == 200 ? 0 : 500);
        }
        assertThat(status).isEqualTo(200);
        assertThat(mara.send("POST", "/api/builds/" + car + "/capture", NOTE).statusCode())
                .isEqualTo(200);
        assertThat(mara.send("POST", "/api/undo", null).statusCode()).isLessThan(300);
    }

    private void isSaidEverywhere() throws Exception {
        hears("event:away");
        assertThat(refused("GET", "/api/board", null)).isEqualTo("The database is away");
        assertThat(refused("POST", "/api/builds/" + car + "/capture", NOTE)).isEqualTo("The database is away");
        // A page is no reason to ask the database.
        assertThat(mara.send("GET", "/walk", null).statusCode()).isEqualTo(200);
    }

    @Test
    void aCutWire() throws Exception {
        int before = board().get("works").size();
        wire.cut();
        isSaidEverywhere();
        wire.mend();
        hears("event:hello");
        worksAgain();
        assertThat(board().get("works").size())
                .as("nothing was saved meanwhile")
                .isEqualTo(before);
    }

    @Test
    void aDatabaseThatDoesNotAnswer() throws Exception {
        wire.silence();
        isSaidEverywhere();
        wire.mend();
        hears("event:hello");
        worksAgain();
    }

    @Test
    void somebodyElsesLargeChange() throws Exception {
        try (Connection other = database.getConnection();
                Statement statement = other.createStatement()) {
            other.setAutoCommit(false);
            statement.execute("select pg_advisory_xact_lock(7241)");
            assertThat(refused("POST", "/api/builds/" + car + "/capture", NOTE)).isEqualTo("Busy");
            assertThat(mara.send("GET", "/api/board", null).statusCode()).isEqualTo(200);
            other.rollback();
            other.setAutoCommit(true);
        }
        worksAgain();
    }
}
