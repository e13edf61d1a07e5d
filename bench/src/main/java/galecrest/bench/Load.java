package galecrest.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;

/**
 * Many browsers on one server, both on this machine: each signs in, takes the board, listens, and after every change asks what
 * is new; some of them change something. Measured is what people feel: how long an edit takes to be answered, and from the
 * beginning of an edit until each other browser has what it did.
 */
public final class Load {
    private static final int ACCOUNTS = 40;
    /** A server that has just been started is slow until its code is compiled: that is not measured. */
    private static final int WARM_SECONDS = 60;

    private static final String PASSWORD = "load-test-of-many";
    /** All browsers together change something so often: each once a minute. */
    private static final double EDITS_A_SECOND_OF_BROWSER = 1.0 / 60;

    /** What the Walkround, and a hand's day, look up beside the board. */
    private static final List<String> OF_A_LEAD = List.of("/api/odds", "/api/offers", "/api/loans", "/api/arrivals");

    private static final List<String> OF_A_HAND =
            List.of("/api/my-day", "/api/catch-up", "/api/arrivals", "/api/supplies");
    private static final List<String> OF_THINKING = List.of("/api/odds", "/api/offers");

    private final ObjectMapper json = new ObjectMapper();
    private final String address;
    private final Process server;
    private int number;

    private Load(String address, Process server) {
        this.address = address;
        this.server = server;
    }

    /** Runs {@code bench load [--browsers 100,200] [--seconds 60] [--year]}. */
    static int run(List<String> args) throws Exception {
        List<Integer> counts = new ArrayList<>();
        for (String count : option(args, "--browsers", "100,200").split(",")) {
            counts.add(Integer.parseInt(count));
        }
        int seconds = Integer.parseInt(option(args, "--seconds", "60"));
        Process server = null;
        try {
            Load load = start(Path.of("bench", "target", "load-server.log"));
            server = load.server;
            System.out.println(
                    "| browsers | edits | edit p50, ms | edit p95, ms | news p50, ms | news p95, ms | news most, ms"
                            + " | pushed | asked | lists | whole boards | hang-ups | errors | kB of news | MB before | MB after |");
            System.out.println("|---|---|---|---|---|---|---|---|---|---|---|---|---|---|---|---|");
            List<String> accounts = load.accounts();
            for (int count : counts) {
                load.measure(accounts, count, seconds);
            }
            if (args.contains("--year")) {
                // Each begins with a server that has just been started.
                end(server);
                load = start(Path.of("bench", "target", "load-server.log"));
                server = load.server;
                Year.head();
                Year.measure(load).print("the first week");
                end(server);
                Year.fill();
                load = start(Path.of("bench", "target", "year-server.log"));
                server = load.server;
                Year.waitForTidying(load.manager());
                Year.measure(load).print("after a year");
            }
            return 0;
        } finally {
            if (server != null) {
                end(server);
            }
        }
    }

    static void end(Process server) throws InterruptedException {
        server.destroy();
        server.waitFor(10, TimeUnit.SECONDS);
    }

    static String option(List<String> args, String name, String usual) {
        int at = args.indexOf(name);
        return at < 0 || at + 1 >= args.size() ? usual : args.get(at + 1);
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    private static Load start(Path log) throws Exception {
        return start(log, freePort());
    }

    /** A server of our own on that port, once it answers. */
    static Load start(Path log, int port) throws Exception {
        ProcessBuilder server = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx1g",
                // As ./galecrest starts it.
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                "galecrest.server.Galecrest",
                "--server.port=" + port,
                "--spring.profiles.active=demo",
                "--galecrest.parcels.watch=false");
        server.redirectErrorStream(true);
        server.redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        Load load = new Load("http://127.0.0.1:" + port, server.start());
        load.waitForIt();
        return load;
    }

    private void waitForIt() throws Exception {
        for (int i = 0; i < 240; i++) {
            try {
                new Browser(address, json).get("/api/me");
                return;
            } catch (IOException | UncheckedIOException notYet) {
                Thread.sleep(500);
            }
        }
        throw new IllegalStateException("The server did not come up; bench/target/load-server.log says why.");
    }

    Browser manager() throws Exception {
        Browser mara = new Browser(address, json);
        mara.signIn("mara", "brackwater");
        return mara;
    }

    /** Leads and hands of our own, since each account has so many screens at most. */
    List<String> accounts() throws Exception {
        Browser mara = manager();
        List<String> names = new ArrayList<>();
        for (int i = 0; i < ACCOUNTS; i++) {
            String name = "load" + i;
            JsonNode made = mara.post(
                    "/api/accounts",
                    "{\"username\":\"%s\",\"name\":\"Load %d\",\"role\":\"%s\",\"personId\":\"%s\"}"
                            .formatted(name, i, i % 2 == 0 ? "LEAD" : "HAND", i % 4 == 1 ? "bo" : "kit"));
            String token = made.get("path").asText().substring("/welcome/".length());
            new Browser(address, json).post("/api/invitations/" + token, "{\"password\":\"" + PASSWORD + "\"}");
            names.add(name);
        }
        return names;
    }

    /** So many browsers, signed in and listening. */
    List<Browser> open(List<String> accounts, int count) throws Exception {
        List<Browser> browsers = new ArrayList<>();
        ExecutorService openers = Executors.newFixedThreadPool(8);
        List<Future<Browser>> opened = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            String name = accounts.get(i % accounts.size());
            boolean lead = i % 2 == 0;
            opened.add(openers.submit(() -> {
                Browser browser = new Browser(address, json);
                browser.signIn(name, PASSWORD);
                browser.open();
                return lead ? browser.lookingUp(OF_A_LEAD, OF_THINKING) : browser.lookingUp(OF_A_HAND, List.of());
            }));
        }
        for (Future<Browser> browser : opened) {
            browsers.add(browser.get());
        }
        openers.shutdown();
        return browsers;
    }

    private void measure(List<String> accounts, int count, int seconds) throws Exception {
        List<Browser> browsers = open(accounts, count);
        edit(browsers, count, WARM_SECONDS);
        browsers.forEach(Browser::forget);
        long before = megabytes();
        List<Long> edits = edit(browsers, count, seconds);
        Thread.sleep(3000);
        List<Long> news = Collections.synchronizedList(new ArrayList<>());
        browsers.forEach(b -> news.addAll(b.heard()));
        long whole = browsers.stream().mapToLong(Browser::wholeBoards).sum();
        long hangUps = browsers.stream().mapToLong(Browser::hangUps).sum();
        long errors = browsers.stream().mapToLong(Browser::errors).sum();
        long bytes = browsers.stream().mapToLong(Browser::newsBytes).sum();
        long answers = browsers.stream().mapToLong(Browser::answers).sum();
        System.out.printf(
                Locale.ROOT,
                "| %d | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d | %.1f | %d | %d |%n",
                count,
                edits.size(),
                at(edits, 0.5),
                at(edits, 0.95),
                at(news, 0.5),
                at(news, 0.95),
                at(news, 1),
                browsers.stream().mapToLong(Browser::pushes).sum(),
                answers,
                browsers.stream().mapToLong(Browser::lookedUp).sum(),
                whole,
                hangUps,
                errors,
                bytes / 1000.0 / Math.max(1, answers),
                before,
                megabytes());
        browsers.forEach(Browser::close);
        Thread.sleep(2000);
    }

    /** Leads hold jobs, at random moments; the words of each tell it from the others. */
    private List<Long> edit(List<Browser> browsers, int count, int seconds) throws Exception {
        List<String> jobs = jobs(browsers.get(0).board());
        List<Long> took = Collections.synchronizedList(new ArrayList<>());
        Random luck = new Random(1);
        double rate = count * EDITS_A_SECOND_OF_BROWSER;
        ExecutorService hands = Executors.newFixedThreadPool(16);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        while (System.nanoTime() < end) {
            Thread.sleep((long) (-Math.log(1 - luck.nextDouble()) / rate * 1000));
            Browser browser = browsers.get(2 * luck.nextInt(browsers.size() / 2));
            String job = jobs.get(number % jobs.size());
            String note = "somebody is in the way " + number++;
            hands.submit(() -> {
                long from = System.nanoTime();
                Browser.editing(note, from);
                browser.post("/api/works/" + job + "/hold", "{\"reason\":\"DECIDE\",\"note\":\"" + note + "\"}");
                took.add(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - from));
                return null;
            });
        }
        hands.shutdown();
        hands.awaitTermination(30, TimeUnit.SECONDS);
        return took;
    }

    /** Jobs of a board that can be held. */
    static List<String> jobs(JsonNode board) {
        List<String> jobs = new ArrayList<>();
        for (JsonNode work : board.get("works")) {
            if (work.get("status").asText().equals("TODO") && work.has("job") && !work.has("hold")) {
                jobs.add(work.get("id").asText());
            }
        }
        return jobs;
    }

    Process server() {
        return server;
    }

    static long at(List<Long> values, double share) {
        if (values.isEmpty()) {
            return -1;
        }
        List<Long> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get((int) Math.min(sorted.size() - 1, Math.ceil(share * sorted.size()) - 1));
    }

    long megabytes() throws IOException {
        for (String line : Files.readAllLines(Path.of("/proc/" + server.pid() + "/status"))) {
            if (line.startsWith("VmRSS")) {
                return Long.parseLong(line.replaceAll("\\D", "")) / 1024;
            }
        }
        return -1;
    }
}
