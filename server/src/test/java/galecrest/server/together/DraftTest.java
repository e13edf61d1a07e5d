package galecrest.server.together;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.Visitor;
import java.io.BufferedReader;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** A draft is seen by nobody but manager and lead; a stream tells only who is still signed in. */
class DraftTest extends TogetherTest {

    private static Queue<String> listen(Visitor visitor) throws Exception {
        Queue<String> heard = new ConcurrentLinkedQueue<>();
        InputStream stream = visitor.stream("/api/live").body();
        Thread reader = new Thread(() -> new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8))
                .lines()
                .forEach(heard::add));
        reader.setDaemon(true);
        reader.start();
        await(() -> heard.contains("event:hello"));
        return heard;
    }

    private static boolean hears(Queue<String> heard, String what) {
        return heard.stream().anyMatch(l -> l.contains(what));
    }

    private JsonNode board(Visitor visitor) throws Exception {
        return json.readTree(visitor.send("GET", "/api/board", null).body());
    }

    /** What somebody sees of the dates of the shop. */
    private static String dates(JsonNode board) {
        StringBuilder dates = new StringBuilder();
        board.path("commitments").forEach(c -> dates.append(c.path("name").asText())
                .append(c.path("marginMinutes"))
                .append(c.path("finish"))
                .append('\n'));
        return dates.toString();
    }

    private static String start(JsonNode board, String work) {
        return StreamSupport.stream(board.path("works").spliterator(), false)
                .filter(w -> w.path("id").asText().equals(work))
                .findFirst()
                .orElseThrow()
                .at("/placed/start")
                .asText();
    }

    @Test
    void aPinIsSeenByNobodyBeforeItIsPublished() throws Exception {
        Visitor mara = visitor("mara");
        Visitor bo = visitor("bo");
        mara.send("POST", "/api/plan/publish", null);
        Queue<String> boHears = listen(bo);
        Queue<String> maraHears = listen(mara);
        JsonNode whole = board(mara);
        JsonNode date = StreamSupport.stream(whole.path("commitments").spliterator(), false)
                .filter(c -> !c.path("chain").isEmpty())
                .findFirst()
                .orElseThrow();
        String link = json.readTree(mara.send(
                                "POST",
                                "/api/builds/" + date.path("buildId").asText() + "/customer-links",
                                Map.of("days", 30, "money", false))
                        .body())
                .path("path")
                .asText()
                .substring(3);
        JsonNode boSaw = board(bo);
        String handBefore = dates(boSaw);
        assertThat(handBefore).contains(date.path("name").asText());
        String customerBefore = json.readTree(
                        stranger().send("GET", "/api/customer/" + link, null).body())
                .path("dates")
                .toString();
        String work = date.path("chain").get(0).asText();
        assertThat(mara.send("POST", "/api/pins", Map.of("workId", work, "kind", "NOT_BEFORE", "at", at(60, "09:00")))
                        .statusCode())
                .isEqualTo(200);
        await(() -> hears(maraHears, "pinned"));
        JsonNode hers = board(mara);
        assertThat(dates(hers)).as("the draft does something").isNotEqualTo(dates(whole));
        JsonNode his = board(bo);
        assertThat(dates(his)).isEqualTo(handBefore);
        assertThat(his.path("pins")).isEmpty();
        assertThat(his.path("draft").path("toTell")).isEmpty();
        assertThat(start(his, work)).isEqualTo(start(boSaw, work)).isNotEqualTo(start(hers, work));
        assertThat(bo.send("GET", "/api/journal", null).body()).doesNotContain("pinned");
        assertThat(mara.send("GET", "/api/journal", null).body()).contains("pinned");
        assertThat(json.readTree(stranger()
                                .send("GET", "/api/customer/" + link, null)
                                .body())
                        .path("dates")
                        .toString())
                .isEqualTo(customerBefore);
        mara.send("POST", "/api/plan/discard", null);
        await(() -> hears(maraHears, "dropped the draft"));
        mara.send("POST", "/api/supplies", Map.of("name", "zip ties", "quantity", "1", "boughtFrom", ""));
        await(() -> hears(boHears, "zip ties"));
        assertThat(hears(boHears, "pinned")).isFalse();
        assertThat(hears(boHears, "dropped the draft")).isFalse();
        assertThat(bo.send("GET", "/api/journal", null).body()).doesNotContain("dropped the draft");
        boHears.stream().filter(l -> l.startsWith("data:{\"change\"")).forEach(l -> assertThat(l)
                .contains("\"moved\":0")
                .contains("\"margins\":[]")
                .contains("\"toTell\":[]"));
    }

    /** Another instance's clock may be ahead: what it published is before what was changed after it all the same. */
    @Test
    void aDraftIsWhatCameAfterTheLastPublishingByAnyClock() throws Exception {
        Visitor mara = visitor("mara");
        assertThat(mara.send("POST", "/api/plan/publish", null).statusCode()).isEqualTo(204);
        amend("update published_plan set at = at + interval '1 day'");
        String work = board(mara).path("works").get(0).path("id").asText();
        mara.send("POST", "/api/pins", Map.of("workId", work, "kind", "NOT_BEFORE", "at", at(60, "09:00")));
        assertThat(board(mara).path("pins").toString()).contains(at(60, "09:00"));
        assertThat(mara.send("POST", "/api/plan/discard", null).statusCode()).isEqualTo(204);
        assertThat(board(mara).path("pins").toString()).doesNotContain(at(60, "09:00"));
        assertThat(mara.send("POST", "/api/plan/discard", null).statusCode()).isEqualTo(422);
        amend("update published_plan set at = at - interval '1 day'");
    }

    /** Two make the plan: what the other pins is neither told to people nor dropped before it was looked at. */
    @Test
    void whatAnotherDraftedIsNotPublishedUnseen() throws Exception {
        Visitor mara = visitor("mara");
        amend("update account set role = 'MANAGER' where username = 'sef'");
        Visitor sef = visitor("sef");
        amend("update account set role = 'LEAD' where username = 'sef'");
        mara.send("POST", "/api/plan/publish", null);
        List<String> open = StreamSupport.stream(board(mara).path("works").spliterator(), false)
                .filter(w -> w.path("status").asText().equals("TODO")
                        && w.path("kind").asText().equals("JOB"))
                .map(w -> w.path("id").asText())
                .toList();
        pin(mara, open.get(0), 60);
        long looked = board(mara).path("change").asLong();
        pin(sef, open.get(1), 61);
        for (String path : List.of("/api/plan/publish", "/api/plan/discard")) {
            HttpResponse<String> refused = mara.send("POST", path + "?looked=" + looked, null);
            assertThat(refused.statusCode()).as(path).isEqualTo(422);
            assertThat(refused.body()).contains("Sef pinned").contains("Look at what moves now");
        }
        assertThat(board(mara).path("pins")).hasSize(2);
        long seen = board(mara).path("change").asLong();
        pin(mara, open.get(2), 62);
        assertThat(mara.send("POST", "/api/plan/discard?looked=" + seen, null).statusCode())
                .as("her own she knows")
                .isEqualTo(204);
        assertThat(board(mara).path("pins")).isEmpty();
    }

    private static void pin(Visitor visitor, String work, int day) throws Exception {
        Map<String, String> pin = Map.of("workId", work, "kind", "NOT_BEFORE", "at", at(day, "09:00"));
        assertThat(visitor.send("POST", "/api/pins", pin).statusCode()).isEqualTo(200);
    }

    @Test
    void afterLogOutNothingMoreIsDelivered() throws Exception {
        Visitor bo = visitor("bo");
        Visitor mara = visitor("mara");
        Queue<String> boHears = listen(bo);
        Queue<String> maraHears = listen(mara);
        assertThat(bo.send("POST", "/api/logout", null).statusCode()).isEqualTo(204);
        mara.send("POST", "/api/supplies", Map.of("name", "wheel paint", "quantity", "1", "boughtFrom", ""));
        await(() -> hears(maraHears, "wheel paint"));
        // What comes later comes after; so whoever was to hear the first has heard it by the second.
        mara.send("POST", "/api/supplies", Map.of("name", "chalk", "quantity", "1", "boughtFrom", ""));
        await(() -> hears(maraHears, "chalk"));
        assertThat(hears(boHears, "wheel paint")).isFalse();
        assertThat(hears(boHears, "chalk")).isFalse();
    }

    /** Three screens that take nothing in; a fourth hears of everything all the same, and at once. */
    @Test
    void whoDoesNotListenDelaysNobody() throws Exception {
        Visitor mara = visitor("mara");
        List<Socket> deaf = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            deaf.add(visitor("bo").deaf("/api/live"));
        }
        Queue<String> heard = listen(mara);
        // Ten times what the network holds for a socket that is not read (some 30 kB): 3 bytes a letter, as long as
        // notes
        // may be.
        String bulky = "€".repeat(3_980);
        String job = "";
        for (var work : board(mara).get("works")) {
            job = work.has("job") && work.get("status").asText().equals("TODO") && !work.has("hold")
                    ? work.get("id").asText()
                    : job;
        }
        for (int i = 0; i < 30; i++) {
            assertThat(mara.send(
                                    "POST",
                                    "/api/works/" + job + "/hold",
                                    Map.of("reason", "DECIDE", "note", "asked for " + i + bulky))
                            .statusCode())
                    .as("asked for %s", i)
                    .isEqualTo(204);
            String one = "asked for " + i + "€";
            await(() -> hears(heard, one));
        }
        for (Socket socket : deaf) {
            socket.close();
        }
        assertThat(mara.send("POST", "/api/works/" + job + "/release", null).statusCode())
                .isEqualTo(204);
    }
}
