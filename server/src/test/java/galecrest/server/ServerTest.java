package galecrest.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.access.Account;
import galecrest.server.access.Role;
import jakarta.servlet.http.Cookie;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcPrint;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/**
 * A test against the demo shop on a real PostgreSQL. The moment is a Wednesday morning, or the one that {@code
 * GALECREST_START} says: whatever is tested must hold on any day and at any hour.
 */
@SpringBootTest(
        properties = {
            "galecrest.start=" + ServerTest.FROM_OUTSIDE,
            "galecrest.slower=" + ServerTest.SLOWER,
            "galecrest.parcels.watch=false",
            // All tests together ask for many links that are not there, from one address.
            "galecrest.link-misses=100000",
            // Several contexts stand side by side in each of several processes; what is idle gives its connection back.
            "spring.datasource.hikari.minimum-idle=1",
            // No test takes the power away: nothing waits for the disk.
            "spring.datasource.hikari.connection-init-sql=set synchronous_commit to off",
            // Odds after every change would take most of the time of all tests; those of odds switch it on, and their
            // context ends with them.
            "galecrest.live=false"
        })
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@ActiveProfiles("demo")
public abstract class ServerTest {
    protected static final Account MARA = new Account("mara", "Mara", Role.MANAGER, "mara");
    protected static final Account SEF = new Account("sef", "Sef", Role.LEAD, "sef");
    protected static final Account BO = new Account("bo", "Bo", Role.HAND, "bo");

    /** The moment at which the shop of a test begins, as its application is told. */
    protected static final String FROM_OUTSIDE = "${GALECREST_START:2026-11-25T07:10:00Z}";

    /** So slowly the shop's time goes by that no test meets the end of five minutes on the way. */
    protected static final int SLOWER = 60;

    /** The same moment. */
    protected static final Instant START =
            Instant.parse(System.getenv().getOrDefault("GALECREST_START", "2026-11-25T07:10:00Z"));

    protected static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final String PASSWORD = "brackwater";
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    /** Thinking stands still while somebody is answered: whoever asks all the time waits long. */
    private static final long LONGEST_PAUSE_MILLIS = 500;

    @Autowired
    protected MockMvc mvc;

    protected final ObjectMapper json = new ObjectMapper();
    /** Sessions last from test to test, by database and user name: signing in is slow on purpose. */
    private static final Map<String, Cookie> SESSIONS = new ConcurrentHashMap<>();

    @Value("${spring.datasource.url}")
    private String database;

    /** The day so many days after the first of the test, as forms take it. */
    protected static String day(int later) {
        return START.atZone(ZONE).toLocalDate().plusDays(later).toString();
    }

    /** An instant on that day, at a time of UTC, as forms take it. */
    protected static String at(int later, String time) {
        return day(later) + "T" + time + ":00Z";
    }

    /** The working day so many after the first of the test, Monday to Friday. */
    protected static String workday(int later) {
        LocalDate day = START.atZone(ZONE).toLocalDate();
        for (int left = later; left > 0; left -= day.getDayOfWeek().getValue() < 6 ? 1 : 0) {
            day = day.plusDays(1);
        }
        return day.toString();
    }

    /** How many days after the first of the test the next such weekday is; never today. */
    protected static int next(DayOfWeek weekday) {
        LocalDate today = START.atZone(ZONE).toLocalDate();
        return (int) ChronoUnit.DAYS.between(today, today.with(TemporalAdjusters.next(weekday)));
    }

    /** An answer: its status and its body as JSON. */
    protected record Answer(int status, JsonNode body) {
        /** The message at a field, or empty. */
        public String at(String field) {
            return StreamSupport.stream(body.path("problems").spliterator(), false)
                    .filter(p -> p.path("field").asText().equals(field))
                    .map(p -> p.path("message").asText())
                    .findFirst()
                    .orElse("");
        }
    }

    /** Something that comes to be so by itself. */
    protected interface Asked {
        boolean ready() throws Exception;
    }

    /** Asks now and then, less and less often, until it is so; fails where that takes too long. */
    protected static void await(Asked asked) throws Exception {
        long until = System.nanoTime() + PATIENCE.toNanos();
        for (long pause = 10; !asked.ready(); pause = Math.min(2 * pause, LONGEST_PAUSE_MILLIS)) {
            assertThat(System.nanoTime()).as("patience").isLessThan(until);
            Thread.sleep(pause);
        }
    }

    /** The session of the account: it signs in the first time, and again where it has ended. */
    protected Cookie session(Account account) throws Exception {
        Cookie known = SESSIONS.get(database + " " + account.username());
        return known != null ? known : signIn(account);
    }

    /** A session of its own for the account; the tests that follow use it. */
    protected Cookie signIn(Account account) throws Exception {
        Cookie known = mvc.perform(MockMvcRequestBuilders.post("/api/login")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(json.writeValueAsString(Map.of("username", account.username(), "password", PASSWORD))))
                .andReturn()
                .getResponse()
                .getCookie("SESSION");
        SESSIONS.put(database + " " + account.username(), known);
        return known;
    }

    /** A work of a car, by the car's number and the work's name. */
    protected JsonNode workOf(String number, String name) throws Exception {
        String car = find("cars", "number", number).get("id").asText();
        return StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("buildId").asText().equals(car))
                .filter(w -> w.path("name").asText().equals(name))
                .findFirst()
                .orElseThrow();
    }

    protected Answer call(Account account, String method, String path, @Nullable Object body) throws Exception {
        var request = MockMvcRequestBuilders.request(HttpMethod.valueOf(method), path)
                .cookie(session(account))
                .with(csrf());
        if (body != null) {
            request.contentType(MediaType.APPLICATION_JSON)
                    .content(body instanceof String text ? text : json.writeValueAsString(body));
        }
        return answer(mvc.perform(request).andReturn());
    }

    protected Answer upload(Account account, String path, byte[] file) throws Exception {
        return answer(mvc.perform(MockMvcRequestBuilders.multipart(path)
                        .file(new org.springframework.mock.web.MockMultipartFile("file", "f.csv", "text/csv", file))
                        .cookie(session(account))
                        .with(csrf()))
                .andReturn());
    }

    private Answer answer(MvcResult result) throws Exception {
        String text = result.getResponse().getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
        boolean isJson = text.startsWith("{") || text.startsWith("[");
        return new Answer(result.getResponse().getStatus(), json.readTree(isJson ? text : "{}"));
    }

    /** Takes back so many of the account's own changes. */
    protected void undo(Account account, int times) throws Exception {
        for (int i = 0; i < times; i++) {
            assertThat(call(account, "POST", "/api/undo", null).status()).isEqualTo(200);
        }
    }

    /** A car of the test's own; returns its id. */
    protected String newBuild(String number, String name) throws Exception {
        return call(MARA, "POST", "/api/builds", """
                        {"build": {"number": "%s", "name": "%s", "body": "SALOON", "customer": "", "discipline": "",
                         "weight": 1, "limitFront": 2, "limitEngineBay": 2, "limitCockpit": 2, "limitUnderside": 2,
                         "limitRear": 2, "version": 0}}""".formatted(number, name))
                .body()
                .path("id")
                .asText();
    }

    protected JsonNode board() throws Exception {
        return call(MARA, "GET", "/api/board", null).body();
    }

    /** The first thing of a kind on the board with a field of that value. */
    protected JsonNode find(String things, String field, String value) throws Exception {
        return StreamSupport.stream(board().path(things).spliterator(), false)
                .filter(t -> t.path(field).asText().equals(value))
                .findFirst()
                .orElseThrow();
    }

    /** The record without what moves by itself, to show that nothing changed. */
    protected String record() throws Exception {
        var snapshot = (com.fasterxml.jackson.databind.node.ObjectNode)
                call(MARA, "GET", "/api/snapshot", null).body();
        snapshot.remove("now");
        return snapshot.toString();
    }
}
