package galecrest.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/**
 * What has been answered is there, whatever is killed in the middle of anything; and a back-up comes back whole or not at
 * all. The server runs as users start it, as a process of its own.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class WholeTest {
    private static final String DATABASE = "galecrest_test_whole";
    private static final Path HOME = Path.of("..").toAbsolutePath().normalize();
    private static final int PATIENCE_SECONDS = 90;
    private static final int PLACES = 50;

    private final ObjectMapper json = new ObjectMapper();
    private final Set<String> answered = ConcurrentHashMap.newKeySet();
    private @Nullable Process server;
    private int port;
    private HttpClient client = HttpClient.newHttpClient();
    private CookieManager cookies = new CookieManager();

    @TempDir
    private static Path files;

    private static String url(String database) {
        String url = System.getenv("SPRING_DATASOURCE_URL");
        return url.substring(0, url.lastIndexOf('/') + 1) + database;
    }

    private static Connection connect(String database) throws SQLException {
        return DriverManager.getConnection(
                url(database),
                System.getenv("SPRING_DATASOURCE_USERNAME"),
                System.getenv("SPRING_DATASOURCE_PASSWORD"));
    }

    @BeforeAll
    static void aFreshDatabase() throws SQLException {
        drop();
        try (Connection database = connect("postgres");
                Statement statement = database.createStatement()) {
            statement.execute("create database " + DATABASE);
        }
    }

    @AfterAll
    static void drop() throws SQLException {
        try (Connection database = connect("postgres");
                Statement statement = database.createStatement()) {
            statement.execute("drop database if exists " + DATABASE + " with (force)");
        }
    }

    @AfterEach
    void endServer() throws InterruptedException {
        kill();
    }

    private static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            return free.getLocalPort();
        }
    }

    private void start() throws Exception {
        start(url(DATABASE));
    }

    private void start(String database) throws Exception {
        port = freePort();
        ProcessBuilder command = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx512m",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-jar",
                HOME.resolve("server/target/server-0.1.0-app.jar").toString(),
                "--spring.profiles.active=demo",
                "--galecrest.start=2026-11-25T07:10:00Z",
                "--galecrest.odds=false",
                "--galecrest.offering=false",
                "--server.port=" + port);
        command.environment().put("SPRING_DATASOURCE_URL", database);
        command.redirectErrorStream(true)
                .redirectOutput(files.resolve("server.log").toFile());
        server = command.start();
        await(() -> send("GET", "/api/me", null).statusCode() == 200);
        cookies = new CookieManager();
        client = HttpClient.newBuilder().cookieHandler(cookies).build();
        send("GET", "/api/me", null);
        assertThat(send("POST", "/api/login", Map.of("username", "mara", "password", "brackwater"))
                        .statusCode())
                .isEqualTo(200);
    }

    private void kill() throws InterruptedException {
        if (server != null) {
            server.destroyForcibly().waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS);
        }
    }

    private interface Asked {
        boolean ready() throws Exception;
    }

    private void await(Asked asked) throws Exception {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
        while (true) {
            try {
                if (asked.ready()) {
                    return;
                }
            } catch (IOException notYet) {
                // It has not started yet, or not again.
            }
            assertThat(System.nanoTime()).as("patience").isLessThan(until);
            Thread.sleep(100);
        }
    }

    private HttpResponse<String> send(String method, String path, @Nullable Object body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .timeout(Duration.ofSeconds(PATIENCE_SECONDS))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString(json.writeValueAsString(body)));
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** Writes jobs until it is not answered any more; the names of what was answered are kept. */
    private Thread writer(String name, String car) {
        Thread writer = new Thread(() -> {
            try {
                for (int i = 0; ; i++) {
                    String job = name + " " + i;
                    int status = send("POST", "/api/builds/" + car + "/capture", Map.of("text", job + " 10m"))
                            .statusCode();
                    if (status == 200) {
                        answered.add(job);
                    } else if (status < 500) {
                        return;
                    }
                }
            } catch (IOException | InterruptedException gone) {
                Thread.currentThread().interrupt();
            }
        });
        writer.start();
        return writer;
    }

    private JsonNode board() throws Exception {
        return json.readTree(send("GET", "/api/board", null).body());
    }

    private void allAnsweredIsThere() throws Exception {
        Set<String> before = Set.copyOf(answered);
        Set<String> there = new HashSet<>();
        board().path("works").forEach(w -> there.add(w.path("name").asText()));
        assertThat(there).containsAll(before);
    }

    @Test
    @Order(1)
    void whatWasAnsweredIsThereAfterTheServerWasKilled() throws Exception {
        start();
        String car = board().path("cars").get(0).path("id").asText();
        for (int round = 0; round < 2; round++) {
            int before = answered.size();
            Thread writer = writer("Round " + round + " job", car);
            await(() -> answered.size() >= before + 10);
            kill();
            writer.join();
            start();
            allAnsweredIsThere();
        }
        assertThat(answered.size()).isGreaterThanOrEqualTo(20);
    }

    @Test
    @Order(2)
    void whatWasAnsweredIsThereAfterTheDatabaseWasKilled() throws Exception {
        // One of its own: the one of the tests serves others beside.
        int port = freePort();
        Path postgres = Files.createTempDirectory("galecrest-killed");
        try {
            Files.writeString(postgres.resolve("password"), System.getenv("SPRING_DATASOURCE_PASSWORD"));
            asPostgres(
                    postgres,
                    "initdb -D data -U " + System.getenv("SPRING_DATASOURCE_USERNAME")
                            + " --pwfile=password --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8");
            String start = "pg_ctl -D data -l log -w -t 60 -o \"-p " + port
                    + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=''\" start";
            asPostgres(postgres, start);
            start("jdbc:postgresql://127.0.0.1:" + port + "/postgres");
            String car = board().path("cars").get(0).path("id").asText();
            Thread writer = writer("Beside the database job", car);
            await(() -> answered.size() >= 10);
            asPostgres(postgres, "kill -9 $(head -n 1 data/postmaster.pid)");
            asPostgres(postgres, "until " + start + "; do sleep 0.2; done");
            await(() -> send("GET", "/api/board", null).statusCode() == 200);
            allAnsweredIsThere();
            int before = answered.size();
            await(() -> answered.size() > before);
            kill();
            writer.join();
        } finally {
            asPostgres(postgres, "pg_ctl -D data -m immediate stop || true");
            run(0, "rm", "-r", postgres.toString());
        }
    }

    /** Runs a line of shell in a folder; PostgreSQL does not run as root. */
    private void asPostgres(Path folder, String line) throws IOException, InterruptedException {
        String user =
                "if [ $(id -u) = 0 ]; then chown -R postgres \"$0\"; exec setpriv --reuid=postgres --regid=postgres"
                        + " --init-groups \"${@}\"; fi; exec \"${@}\"";
        run(
                0,
                "bash",
                "-c",
                "cd \"$0\"; " + user,
                folder.toString(),
                "env",
                "HOME=" + folder,
                "PATH=/usr/lib/postgresql/15/bin:" + System.getenv("PATH"),
                "bash",
                "-c",
                line + " >>out 2>&1");
    }

    private int exit(String... command) throws IOException, InterruptedException {
        ProcessBuilder process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(files.resolve("command.log").toFile());
        process.environment().put("GALECREST_DATABASE", DATABASE);
        return process.start().waitFor();
    }

    private void run(int expected, String... command) throws IOException, InterruptedException {
        assertThat(exit(command))
                .as(Files.readString(files.resolve("command.log"), StandardCharsets.UTF_8))
                .isEqualTo(expected);
    }

    private static Map<String, Long> rows() throws SQLException {
        Map<String, Long> rows = new TreeMap<>();
        try (Connection database = connect(DATABASE);
                Statement statement = database.createStatement()) {
            List<String> tables = new ArrayList<>();
            try (ResultSet all =
                    statement.executeQuery("select tablename from pg_tables where schemaname = 'public'")) {
                while (all.next()) {
                    tables.add(all.getString(1));
                }
            }
            for (String table : tables) {
                try (ResultSet sum = statement.executeQuery(
                        "select count(*) + coalesce(sum(hashtext(t::text)::bigint), 0) from " + table + " t")) {
                    sum.next();
                    rows.put(table, sum.getLong(1));
                }
            }
        }
        return rows;
    }

    private void restore(int expected, Path file) throws Exception {
        run(expected, HOME.resolve("galecrest").toString(), "restore", file.toString());
    }

    /** Cut, and with a bit turned over, at so many places: every one is refused, and leaves the shop as it was. */
    @Test
    @Order(3)
    void aBackUpComesBackWholeOrNotAtAll() throws Exception {
        Map<String, Long> kept = rows();
        Path file = files.resolve("shop.backup");
        run(0, HOME.resolve("galecrest").toString(), "backup", file.toString());
        try (Connection database = connect(DATABASE);
                Statement statement = database.createStatement()) {
            statement.execute("delete from sign_in_failure");
            statement.execute("delete from analysis");
            statement.execute("insert into analysis (id, kind, change_id, asked_by, asked_at)"
                    + " values ('later', 'RESCUE', 1, 'Mara', '2026-11-25')");
        }
        Map<String, Long> later = rows();
        assertThat(later).isNotEqualTo(kept);
        byte[] whole = Files.readAllBytes(file);
        Path spoilt = files.resolve("spoilt.backup");
        for (String text : new String[] {"", "x"}) {
            Files.writeString(spoilt, text);
            restore(1, spoilt);
            assertThat(rows()).isEqualTo(later);
        }
        Random random = new Random(11);
        for (int i = 0; i < PLACES; i++) {
            // The end of a tar file is filled up with zeros, which hold nothing.
            int at = (int) (random.nextDouble() * (whole.length - 11_000));
            byte[] bytes = i % 2 == 0 ? java.util.Arrays.copyOf(whole, at) : whole.clone();
            if (i % 2 != 0) {
                bytes[at] ^= (byte) (1 << random.nextInt(8));
            }
            Files.write(spoilt, bytes);
            int result = exit(HOME.resolve("galecrest").toString(), "restore", spoilt.toString());
            // A bit of a tar header that means nothing (who owned the file) may turn over unharmed.
            if (result != 0) {
                assertThat(rows()).as("at %d of %d", at, whole.length).isEqualTo(later);
            } else {
                assertThat(rows()).as("at %d of %d", at, whole.length).isEqualTo(kept);
                assertThat(i % 2).as("what was cut is never whole").isEqualTo(1);
                run(0, HOME.resolve("galecrest").toString(), "restore", file.toString());
                later = rows();
            }
        }
        restore(0, file);
        assertThat(rows()).isEqualTo(kept);
    }
}
