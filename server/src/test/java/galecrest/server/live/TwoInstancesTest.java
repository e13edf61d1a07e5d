package galecrest.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.Galecrest;
import galecrest.server.ServerTest;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Two instances on one database: the second's screens hear of what is changed through the first. */
class TwoInstancesTest extends ServerTest {
    private static final int PATIENCE_SECONDS = 40;

    private static ConfigurableApplicationContext other;

    @Autowired
    private JdbcClient db;

    private final LinkedBlockingQueue<String> heard = new LinkedBlockingQueue<>();
    private final HttpClient browser =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    @BeforeAll
    static void startTheOther() {
        other = new SpringApplicationBuilder(Galecrest.class)
                .profiles("demo")
                .run("--server.port=0", "--galecrest.start=" + START, "--galecrest.slower=" + SLOWER);
    }

    @AfterAll
    static void stopTheOther() {
        other.close();
    }

    private URI at(String path) {
        int port = ((ServletWebServerApplicationContext) other).getWebServer().getPort();
        return URI.create("http://127.0.0.1:" + port + path);
    }

    private String get(String path) throws Exception {
        return browser.send(HttpRequest.newBuilder(at(path)).build(), HttpResponse.BodyHandlers.ofString())
                .body();
    }

    private void listen() throws Exception {
        get("/api/me");
        String token = ((CookieManager) browser.cookieHandler().orElseThrow())
                .getCookieStore().getCookies().stream()
                        .filter(c -> c.getName().equals("XSRF-TOKEN"))
                        .findFirst()
                        .orElseThrow()
                        .getValue();
        browser.send(
                HttpRequest.newBuilder(at("/api/login"))
                        .header("Content-Type", "application/json")
                        .header("X-XSRF-TOKEN", token)
                        .POST(HttpRequest.BodyPublishers.ofString(
                                json.writeValueAsString(Map.of("username", "sef", "password", "brackwater"))))
                        .build(),
                HttpResponse.BodyHandlers.discarding());
        var stream = browser.send(
                HttpRequest.newBuilder(at("/api/live")).build(), HttpResponse.BodyHandlers.ofInputStream());
        assertThat(stream.statusCode()).isEqualTo(200);
        Thread reader =
                new Thread(() -> new BufferedReader(new InputStreamReader(stream.body(), StandardCharsets.UTF_8))
                        .lines()
                        .forEach(heard::add));
        reader.setDaemon(true);
        reader.start();
        assertThat(next("event:hello", "")).isNotNull();
    }

    /** The next line heard that begins so and tells of that, or null. */
    private @Nullable String next(String beginning, String about) throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
        for (long left = until; left > 0; left = until - System.nanoTime()) {
            String line = heard.poll(Math.max(1, left), TimeUnit.NANOSECONDS);
            if (line == null || line.startsWith(beginning) && line.contains(about)) {
                return line;
            }
        }
        return null;
    }

    private void note(String text) throws Exception {
        String car = find("cars", "number", "8").get("id").asText();
        assertThat(call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", text))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void theOtherHearsOfAChangeAndShowsTheSamePlan() throws Exception {
        listen();
        note("check the tow strap, front, 20m");
        assertThat(next("data:{\"change\"", "added the job Check the tow strap"))
                .contains("Mara");
        JsonNode mine = board();
        JsonNode theirs = json.readTree(get("/api/board"));
        assertThat(theirs.get("works")).isEqualTo(mine.get("works"));
        assertThat(theirs.get("commitments")).isEqualTo(mine.get("commitments"));
        undo(MARA, 1);
    }

    /** What came between the reading of a page and the opening of its stream is told to no page: it is asked for. */
    @Test
    void aStreamBeginsWithTheLastChangeBeforeIt() throws Exception {
        note("check the tow hook, front, 20m");
        listen();
        assertThat(next("data:", ""))
                .isEqualTo("data:{\"last\":" + board().get("change").asLong() + "}");
        undo(MARA, 1);
    }

    @Test
    void aLostDatabaseConnectionHeals() throws Exception {
        listen();
        db.sql("""
                        select pg_terminate_backend(pid) from pg_stat_activity
                        where datname = current_database() and pid <> pg_backend_pid()""").query((row, n) -> 0).list();
        note("check the tow eye, rear, 20m");
        assertThat(next("data:{\"change\"", "added the job Check the tow eye")).isNotNull();
        undo(MARA, 1);
    }
}
