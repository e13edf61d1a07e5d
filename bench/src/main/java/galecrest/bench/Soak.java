package galecrest.bench;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Many browsers for a long time, while the server and its database are killed, or fall silent, again and again. In the end
 * whatever was acknowledged is in the journal once, whatever was said not to be saved is not, every browser knows the last
 * change, and the memory of the last, quiet, third of the time is what it was at its beginning.
 */
final class Soak {
    private static final String SAID_NOT_SAVED = "Nothing was saved";
    private static final long BETWEEN_EDITS_MILLIS = 60_000;
    private static final int PAGE = 500;

    private enum Answer {
        ACKNOWLEDGED,
        SAID_NOT_TO_BE_SAVED,
        NOT_KNOWN
    }

    private final Map<String, Answer> sent = new ConcurrentHashMap<>();
    private final AtomicInteger number = new AtomicInteger();
    private final List<Long> took = java.util.Collections.synchronizedList(new ArrayList<>());
    private final Path log = Path.of("bench", "target", "soak-server.log");
    private final int port;
    private volatile Load load;
    private volatile boolean over;

    private Soak(int port) {
        this.port = port;
    }

    /** Runs {@code bench soak [--minutes 30] [--browsers 100]}. */
    static int run(List<String> args) throws Exception {
        int minutes = Integer.parseInt(Load.option(args, "--minutes", "30"));
        int count = Integer.parseInt(Load.option(args, "--browsers", "100"));
        Soak soak = new Soak(Load.freePort());
        try {
            return soak.run(minutes, count);
        } finally {
            Load.end(soak.load.server());
        }
    }

    private int run(int minutes, int count) throws Exception {
        Files.deleteIfExists(log);
        load = Load.start(log, port);
        List<Browser> browsers = load.open(load.accounts(), count);
        browsers.forEach(Browser::healing);
        List<String> jobs = Load.jobs(browsers.get(0).board());
        long start = System.nanoTime();
        ExecutorService hands = Executors.newCachedThreadPool();
        for (int i = 0; i < count; i += 2) {
            Browser lead = browsers.get(i);
            hands.submit(() -> edit(lead, jobs));
        }
        System.out.println("| minute | what | edits acknowledged | MB of the process | MB of heap in use |");
        System.out.println("|---|---|---|---|---|");
        say(start, "it begins");
        int kill = 0;
        long quiet = start + TimeUnit.SECONDS.toNanos(minutes * 40L);
        while (System.nanoTime() < quiet) {
            Thread.sleep(Math.max(20_000, minutes * 60_000L / 12));
            say(start, kill(kill++));
        }
        for (int i = 0; i < 4; i++) {
            say(start, "quiet");
            Thread.sleep(minutes * 60_000L / 12);
        }
        over = true;
        hands.shutdown();
        hands.awaitTermination(90, TimeUnit.SECONDS);
        Thread.sleep(5_000);
        say(start, "it ends");
        int wrong = judge(browsers, kill);
        browsers.forEach(Browser::close);
        return wrong == 0 ? 0 : 1;
    }

    /** A lead who holds jobs, about one a minute. */
    private Object edit(Browser lead, List<String> jobs) throws InterruptedException {
        Random luck = ThreadLocalRandom.current();
        while (!over) {
            Thread.sleep((long) (luck.nextDouble() * BETWEEN_EDITS_MILLIS));
            String note = "soak " + number.getAndIncrement() + ".";
            String job = jobs.get(luck.nextInt(jobs.size()));
            sent.put(note, Answer.NOT_KNOWN);
            long from = System.nanoTime();
            try {
                lead.post("/api/works/" + job + "/hold", "{\"reason\":\"DECIDE\",\"note\":\"" + note + "\"}");
                sent.put(note, Answer.ACKNOWLEDGED);
                took.add(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - from));
            } catch (IOException failed) {
                if (String.valueOf(failed.getMessage()).contains(SAID_NOT_SAVED)) {
                    sent.put(note, Answer.SAID_NOT_TO_BE_SAVED);
                }
            }
        }
        return null;
    }

    private String kill(int which) throws Exception {
        switch (which % 4) {
            case 0 -> {
                killServer();
                return "the server was killed";
            }
            case 1 -> {
                killDatabase();
                return "the database was killed";
            }
            case 2 -> {
                signal("STOP");
                Thread.sleep(15_000);
                signal("CONT");
                return "the database was silent for 15 s";
            }
            default -> {
                killDatabase();
                killServer();
                return "both were killed";
            }
        }
    }

    private void killServer() throws Exception {
        load.server().destroyForcibly().waitFor();
        Thread.sleep(5_000);
        load = Load.start(log, port);
    }

    private static Path data() {
        return Path.of(System.getenv("GALECREST_PG_DATA"));
    }

    private static long postmaster() throws IOException {
        return Long.parseLong(
                Files.readAllLines(data().resolve("postmaster.pid")).get(0).strip());
    }

    private static int call(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
    }

    /** Of the postmaster and of all who serve a connection of it. */
    private static void signal(String name) throws IOException, InterruptedException {
        long main = postmaster();
        List<String> all = new ArrayList<>(List.of("kill", "-" + name, Long.toString(main)));
        ProcessHandle.of(main).ifPresent(p -> p.descendants().forEach(d -> all.add(Long.toString(d.pid()))));
        call(all.toArray(String[]::new));
    }

    private static void killDatabase() throws Exception {
        signal("KILL");
        Thread.sleep(8_000);
        for (int i = 0; i < 30; i++) {
            if (call(System.getenv("GALECREST_COMMAND"), "postgres") == 0) {
                return;
            }
            Thread.sleep(1_000);
        }
        throw new IllegalStateException("The database did not come up again.");
    }

    private void say(long start, String what) throws Exception {
        long acknowledged =
                sent.values().stream().filter(a -> a == Answer.ACKNOWLEDGED).count();
        System.out.printf(
                Locale.ROOT,
                "| %d | %s | %d | %d | %d |%n",
                Duration.ofNanos(System.nanoTime() - start).toMinutes(),
                what,
                acknowledged,
                load.megabytes(),
                heap());
    }

    /** What is in use of the server's heap once what nobody holds is gone. */
    private long heap() throws Exception {
        String jcmd = Path.of(System.getProperty("java.home"), "bin", "jcmd").toString();
        String pid = Long.toString(load.server().pid());
        call(jcmd, pid, "GC.run");
        Process info = new ProcessBuilder(jcmd, pid, "GC.class_histogram").start();
        String last = "";
        try (var lines = info.inputReader()) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                last = line.startsWith("Total") ? line : last;
            }
        }
        String[] words = last.strip().split("\\s+");
        return words.length < 3 ? -1 : Long.parseLong(words[2]) / 1024 / 1024;
    }

    private int judge(List<Browser> browsers, int kills) throws Exception {
        Map<String, Integer> written = written();
        Map<String, Integer> found = new TreeMap<>();
        sent.forEach((note, answer) -> {
            int times = written.getOrDefault(note, 0);
            String wrong =
                    switch (answer) {
                        case ACKNOWLEDGED -> times == 1 ? null : "acknowledged and there " + times + " times";
                        case SAID_NOT_TO_BE_SAVED -> times == 0 ? null : "said not to be saved and there";
                        case NOT_KNOWN -> times <= 1 ? null : "there more than once";
                    };
            if (wrong != null) {
                found.merge(wrong, 1, Integer::sum);
            }
        });
        long last = load.manager().get("/api/board").get("change").asLong();
        long behind = browsers.stream().filter(b -> b.known() != last).count();
        System.out.printf(
                Locale.ROOT,
                "%n%d edits in %d kills: %d acknowledged (p50 %d ms, p95 %d ms), %d said not to be saved, %d without an answer"
                        + " (of these %d are there).%nWrong: %s. Browsers that do not know the last change: %d of %d.%n",
                sent.size(),
                kills,
                count(Answer.ACKNOWLEDGED),
                Load.at(took, 0.5),
                Load.at(took, 0.95),
                count(Answer.SAID_NOT_TO_BE_SAVED),
                count(Answer.NOT_KNOWN),
                sent.entrySet().stream()
                        .filter(e -> e.getValue() == Answer.NOT_KNOWN && written.containsKey(e.getKey()))
                        .count(),
                found.isEmpty() ? "nothing" : found,
                behind,
                browsers.size());
        return found.size() + (int) behind;
    }

    private long count(Answer answer) {
        return sent.values().stream().filter(a -> a == answer).count();
    }

    /** How often each note stands in the journal. */
    private Map<String, Integer> written() throws Exception {
        Browser mara = load.manager();
        Map<String, Integer> times = new ConcurrentHashMap<>();
        long before = Long.MAX_VALUE;
        while (true) {
            JsonNode page = mara.get("/api/journal?before=" + before + "&most=" + PAGE);
            if (page.isEmpty()) {
                return times;
            }
            for (JsonNode line : page) {
                before = line.get("id").asLong();
                String summary = line.get("summary").asText();
                int at = summary.indexOf("soak ");
                if (at >= 0) {
                    times.merge(summary.substring(at), 1, Integer::sum);
                }
            }
        }
    }
}
