package galecrest.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;

/** One browser as the server sees it: cookies, the board, the stream of news, and what it asks after each. */
final class Browser implements AutoCloseable {
    private static final HttpClient CLIENT = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(20))
            .build();
    private static final ExecutorService ASKERS = Executors.newCachedThreadPool(work -> {
        Thread thread = new Thread(work, "asker");
        thread.setDaemon(true);
        return thread;
    });
    /** When each edit began, by its words. */
    private static final Map<String, Long> SAID = new ConcurrentHashMap<>();
    /** The same by the number of its change, from when somebody has heard of it. */
    private static final Map<Long, Long> BEGAN = new ConcurrentHashMap<>();

    /**
     * What came to all browsers at once, read by the first of them: each has a machine of its own for that, which this one
     * has not.
     */
    private static final Map<String, Pushed> PUSHED = new ConcurrentHashMap<>();

    private record Pushed(String since, String edition, long change) {}

    /** As in the web client. */
    private static final long LOOKS_MILLIS = 8_000;

    private static final long THOUGHTS_MILLIS = 4_000;

    private final String address;
    private final ObjectMapper json;
    private final Map<String, String> cookies = new ConcurrentHashMap<>();
    private final List<Long> heard = Collections.synchronizedList(new ArrayList<>());
    private final Set<Long> heardOf = ConcurrentHashMap.newKeySet();
    private final AtomicLong pushes = new AtomicLong();
    private final AtomicLong known = new AtomicLong();
    private final AtomicLong wholeBoards = new AtomicLong();
    private final AtomicLong hangUps = new AtomicLong();
    private final AtomicLong errors = new AtomicLong();
    private final AtomicLong newsBytes = new AtomicLong();
    private final AtomicLong answers = new AtomicLong();
    private final AtomicLong wanted = new AtomicLong();
    private final AtomicBoolean asking = new AtomicBoolean();
    private volatile boolean closed;
    private volatile boolean heals;
    private final Lookups lists = new Lookups(ASKERS, this::lookUp);
    private final Lookups thoughts = new Lookups(ASKERS, this::lookUp);
    private volatile JsonNode board;
    private volatile String edition = "";
    private volatile Stream<String> stream;

    Browser(String address, ObjectMapper json) {
        this.address = address;
        this.json = json;
    }

    /** An edit begins, which is told by its words. */
    static void editing(String words, long nanos) {
        SAID.put(words, nanos);
    }

    private static void began(long change, String summary) {
        String words = summary.substring(summary.lastIndexOf(',') + 1).strip();
        Long from = SAID.get(words);
        if (from != null) {
            BEGAN.put(change, from);
        }
    }

    private HttpRequest.Builder request(String path) {
        StringBuilder said = new StringBuilder();
        cookies.forEach((name, value) -> said.append(said.length() == 0 ? "" : "; ")
                .append(name)
                .append('=')
                .append(value));
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(address + path)).timeout(Duration.ofSeconds(60));
        if (said.length() > 0) {
            request.header("Cookie", said.toString());
        }
        return request.header("Accept-Encoding", "gzip");
    }

    private byte[] send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = CLIENT.send(request, BodyHandlers.ofByteArray());
        answer.headers().allValues("Set-Cookie").forEach(cookie -> {
            String first = cookie.split(";", 2)[0];
            int at = first.indexOf('=');
            cookies.put(first.substring(0, at), first.substring(at + 1));
        });
        byte[] body = answer.body();
        newsBytes.addAndGet(request.uri().getPath().endsWith("/news") ? body.length : 0);
        if (answer.headers().firstValue("Content-Encoding").orElse("").equals("gzip")) {
            body = new GZIPInputStream(new ByteArrayInputStream(body)).readAllBytes();
        }
        if (answer.statusCode() >= 300) {
            errors.incrementAndGet();
            throw new IOException(
                    request.uri() + ": " + answer.statusCode() + " " + new String(body, 0, Math.min(300, body.length)));
        }
        return body;
    }

    JsonNode get(String path) throws IOException, InterruptedException {
        byte[] body = send(request(path).GET().build());
        return body.length == 0 ? json.nullNode() : json.readTree(body);
    }

    JsonNode post(String path, String body) throws IOException, InterruptedException {
        if (!cookies.containsKey("XSRF-TOKEN")) {
            get("/api/me");
        }
        byte[] answer = send(request(path)
                .header("X-XSRF-TOKEN", cookies.get("XSRF-TOKEN"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
        return answer.length == 0 ? json.nullNode() : json.readTree(answer);
    }

    /** How many bytes an answer has, packed. */
    long bytes(String path) throws IOException, InterruptedException {
        return CLIENT.send(request(path).GET().build(), BodyHandlers.ofByteArray())
                .body()
                .length;
    }

    /** Sends a file as a form does (RFC 7578). */
    void upload(String path, String name, String content) throws IOException, InterruptedException {
        String edge = "edge-of-the-form";
        String body = "--" + edge + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                + "\"\r\nContent-Type: text/csv\r\n\r\n" + content + "\r\n--" + edge + "--\r\n";
        send(request(path)
                .header("X-XSRF-TOKEN", cookies.get("XSRF-TOKEN"))
                .header("Content-Type", "multipart/form-data; boundary=" + edge)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    void signIn(String name, String password) throws IOException, InterruptedException {
        post("/api/login", "{\"username\":\"" + name + "\",\"password\":\"" + password + "\"}");
        get("/api/me");
    }

    /** Takes the board and listens from then on. */
    void open() throws IOException, InterruptedException {
        board = get("/api/board");
        edition = board.get("edition").asText();
        known.set(board.get("change").asLong());
        listen();
    }

    private void listen() {
        CLIENT.sendAsync(
                        HttpRequest.newBuilder(URI.create(address + "/api/live"))
                                .header("Cookie", "SESSION=" + cookies.get("SESSION"))
                                .build(),
                        BodyHandlers.ofLines())
                .thenAcceptAsync(
                        answer -> {
                            stream = answer.body();
                            String[] event = {""};
                            stream.forEach(line -> {
                                if (line.startsWith("event:")) {
                                    event[0] = line.substring(6).strip();
                                } else if (line.startsWith("data:") && event[0].equals("news")) {
                                    pushed(line.substring(5));
                                } else if (line.startsWith("data:") && event[0].equals("change")) {
                                    changed(line.substring(5));
                                    lists.wanted();
                                } else if (line.startsWith("data:") && event[0].equals("thought")) {
                                    thoughts.wanted();
                                } else if (line.startsWith("data:") && event[0].equals("hello") && heals) {
                                    ASKERS.submit(this::catchUp);
                                }
                            });
                            if (answer.statusCode() != 200) {
                                throw new IllegalStateException("The stream was refused.");
                            }
                            lost();
                        },
                        ASKERS)
                .exceptionally(failure -> {
                    ASKERS.submit(this::lost);
                    return null;
                });
    }

    /** What the screen looks up beside the board after changes, and after each step of thinking. */
    Browser lookingUp(List<String> afterChanges, List<String> afterThoughts) {
        lists.set(afterChanges, LOOKS_MILLIS);
        thoughts.set(afterThoughts, THOUGHTS_MILLIS);
        return this;
    }

    private void lookUp(String path) throws IOException, InterruptedException {
        if (!closed) {
            send(request(path).GET().build());
        }
    }

    /** From now on it opens its stream again whenever it is lost, and asks for what it missed, as a browser does. */
    Browser healing() {
        heals = true;
        return this;
    }

    /** What was missed while nothing was heard. */
    private Object catchUp() throws IOException, InterruptedException {
        JsonNode news = get("/api/board/news?since=" + edition);
        JsonNode now = news.has("whole") ? news.get("whole") : news.get("changed");
        edition = now.get("edition").asText();
        known.set(now.get("change").asLong());
        return now;
    }

    private void lost() {
        if (closed) {
            return;
        }
        hangUps.incrementAndGet();
        if (heals) {
            try {
                Thread.sleep(1000);
                listen();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** News that came unasked are put in where they lead from the board that is here. */
    private void pushed(String data) {
        try {
            // Hundreds read the same few; what is long past nobody reads again.
            if (PUSHED.size() > 64) {
                PUSHED.clear();
            }
            Pushed told = PUSHED.computeIfAbsent(data, this::read);
            if (told.since().equals(edition)) {
                edition = told.edition();
                known.set(told.change());
                pushes.incrementAndGet();
            }
        } catch (RuntimeException broken) {
            errors.incrementAndGet();
        }
    }

    private Pushed read(String data) {
        try {
            JsonNode told = json.readTree(data);
            JsonNode changed = told.get("news").get("changed");
            return new Pushed(
                    told.get("since").asText(),
                    changed.get("edition").asText(),
                    changed.get("change").asLong());
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private void changed(String data) {
        try {
            JsonNode told = json.readTree(data);
            long change = told.get("change").asLong();
            began(change, told.get("summary").asText());
            if (known.get() >= change) {
                Long from = BEGAN.get(change);
                if (from != null && heardOf.add(change)) {
                    heard.add(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - from));
                }
                return;
            }
            wanted.accumulateAndGet(change, Math::max);
            if (asking.compareAndSet(false, true)) {
                ASKERS.submit(this::ask);
            }
        } catch (IOException | RuntimeException broken) {
            errors.incrementAndGet();
        }
    }

    /** Asks what is new until nothing that was heard of is missing. */
    private void ask() {
        try {
            while (known.get() < wanted.get() && !closed) {
                JsonNode news = get("/api/board/news?since=" + edition);
                answers.incrementAndGet();
                JsonNode now = news.has("whole") ? news.get("whole") : news.get("changed");
                wholeBoards.addAndGet(news.has("whole") ? 1 : 0);
                edition = now.get("edition").asText();
                long before = known.get();
                known.set(now.get("change").asLong());
                long here = System.nanoTime();
                BEGAN.forEach((change, from) -> {
                    if (change > before && change <= known.get() && heardOf.add(change)) {
                        heard.add(TimeUnit.NANOSECONDS.toMillis(here - from));
                    }
                });
            }
        } catch (IOException | InterruptedException | RuntimeException broken) {
            errors.incrementAndGet();
        } finally {
            asking.set(false);
            if (known.get() < wanted.get() && !closed && asking.compareAndSet(false, true)) {
                ASKERS.submit(this::ask);
            }
        }
    }

    /** The last change that it knows of. */
    long known() {
        return known.get();
    }

    JsonNode board() {
        return board;
    }

    /** What was heard and counted up to now. */
    void forget() {
        heard.clear();
        List.of(pushes, wholeBoards, hangUps, errors, newsBytes, answers, lists.asked, thoughts.asked)
                .forEach(count -> count.set(0));
    }

    List<Long> heard() {
        return List.copyOf(heard);
    }

    long pushes() {
        return pushes.get();
    }

    /** How many lists it has looked up beside the board. */
    long lookedUp() {
        return lists.asked.get() + thoughts.asked.get();
    }

    long wholeBoards() {
        return wholeBoards.get();
    }

    long hangUps() {
        return hangUps.get();
    }

    long errors() {
        return errors.get();
    }

    long newsBytes() {
        return newsBytes.get();
    }

    long answers() {
        return answers.get();
    }

    @Override
    public void close() {
        closed = true;
        Stream<String> open = stream;
        if (open != null) {
            open.close();
        }
    }
}
