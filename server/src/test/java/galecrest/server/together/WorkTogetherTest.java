package galecrest.server.together;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.Visitor;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Work that several report at once is counted once. */
class WorkTogetherTest extends TogetherTest {
    private static List<Visitor> hands;

    @BeforeAll
    static void signIn() throws Exception {
        hands = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            hands.add(visitor("bo"));
        }
    }

    /** A job of the demo's, begun by Bo a week ago. */
    private String started() throws Exception {
        JsonNode job = StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("status").asText().equals("TODO")
                        && w.path("kind").asText().equals("JOB"))
                .filter(w -> !w.hasNonNull("hold"))
                .findFirst()
                .orElseThrow();
        String id = job.path("id").asText();
        assertThat(hands.get(0)
                        .send("POST", "/api/works/" + id + "/start?anyway=true", null)
                        .statusCode())
                .isEqualTo(204);
        amend("update job set started_at = started_at - interval '7 days' where work_id = '" + id + "'");
        return id;
    }

    private long rows(String id) {
        return count("select count(*) from worked where work_id = '" + id + "'");
    }

    private long people(String id) {
        return count("select count(*) from job_started_by where work_id = '" + id + "'");
    }

    @Test
    void doneByManyThumbsIsWorkedOnce() throws Exception {
        String id = started();
        long crew = people(id);
        long before = rows(id);
        List<Integer> answers = together(hands, "/api/works/" + id + "/done", null);
        assertThat(Collections.frequency(answers, 204)).as("%s", answers).isEqualTo(1);
        assertThat(Collections.frequency(answers, 422)).isEqualTo(5);
        assertThat(rows(id) - before).isEqualTo(crew).isPositive();
        assertThat(count("select min(minutes) from worked where work_id = '" + id + "'"))
                .isPositive();
    }

    @Test
    void pausedByManyThumbsIsPausedOnce() throws Exception {
        String id = started();
        long crew = people(id);
        long before = rows(id);
        List<Integer> answers = together(hands, "/api/works/" + id + "/pause", null);
        assertThat(Collections.frequency(answers, 204)).as("%s", answers).isEqualTo(1);
        assertThat(rows(id) - before).isEqualTo(crew);
    }

    /** Several on one telephone, or one who presses twice: the call is noted once, and the next one promised once. */
    @Test
    void aCallIsNotedOnce() throws Exception {
        Map<String, Object> rang =
                Map.of("who", "Tide Driveline", "about", "shaft", "said", "on the van", "due", at(1, "15:00"));
        assertThat(Collections.frequency(together(hands, "/api/calls", rang), 204))
                .isEqualTo(1);
        Map<String, Object> promised = Map.of("who", "Anchor Machining", "about", "rods", "due", at(2, "09:00"));
        assertThat(Collections.frequency(together(hands, "/api/calls", promised), 204))
                .isEqualTo(1);
        assertThat(count("select count(*) from promised_call where who = 'Tide Driveline' and about = 'shaft'"))
                .isEqualTo(2);
        assertThat(count("select count(*) from promised_call where who = 'Anchor Machining' and about = 'rods'"))
                .isEqualTo(1);
    }

    /** Done beside held: either it was held first and done then, with the hours once, or the hold came too late. */
    @Test
    void whatIsDoneIsNotHeldToo() throws Exception {
        for (int round = 0; round < 3; round++) {
            String id = started();
            long crew = people(id);
            long before = rows(id);
            List<Callable<Integer>> requests = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                Visitor hand = hands.get(i);
                boolean done = i % 2 == 0;
                requests.add(() -> hand.send(
                                "POST",
                                "/api/works/" + id + (done ? "/done" : "/hold"),
                                done ? null : Map.of("reason", "PART", "note", "gasket"))
                        .statusCode());
            }
            together(requests);
            assertThat(count("select count(*) from work where id = '" + id
                            + "' and status = 'DONE' and hold_reason is not null"))
                    .isZero();
            assertThat(rows(id) - before).isEqualTo(crew);
        }
    }

    @Test
    void onePersonIsOnOneJob() throws Exception {
        List<String> jobs = StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("status").asText().equals("TODO")
                        && w.path("kind").asText().equals("JOB"))
                .map(w -> w.path("id").asText())
                .limit(3)
                .toList();
        List<Callable<Integer>> requests = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            Visitor hand = hands.get(i);
            String job = jobs.get(i % 3);
            requests.add(() -> hand.send("POST", "/api/works/" + job + "/start?anyway=true", null)
                    .statusCode());
        }
        together(requests);
        assertThat(count("select coalesce(max(n), 0) from ("
                        + "select count(*) as n from job_started_by group by person_id) as of_one"))
                .isEqualTo(1);
        assertThat(count("select count(*) from job_started_by where person_id = 'bo'"))
                .isEqualTo(1);
    }

    private String part(String name, String state, int quantity) throws Exception {
        String id = find("parts", "name", name).path("id").asText();
        amend("update part set state = '" + state + "', received = 0, quantity = " + quantity + " where id = '" + id
                + "'");
        return id;
    }

    private static Map<String, Object> counted(int counted, boolean accepted) {
        return Map.of(
                "counted",
                counted,
                "rightVariant",
                true,
                "sizes",
                "",
                "damage",
                "",
                "accepted",
                accepted,
                "reason",
                accepted ? "" : "cracked");
    }

    @Test
    void goodsThatTwoCountAreBothReceived() throws Exception {
        String id = part("wishbone bushes", "ARRIVED", 10);
        String path = "/api/parts/" + id + "/inspection";
        List<Integer> answers = together(List.of(
                () -> hands.get(0).send("POST", path, counted(4, true)).statusCode(),
                () -> hands.get(1).send("POST", path, counted(3, true)).statusCode()));
        assertThat(answers).containsOnly(200);
        assertThat(count("select received from part where id = '" + id + "'")).isEqualTo(7);
    }

    @Test
    void goodsAreNotAcceptedTwiceNorRefusedToo() throws Exception {
        String id = part("wishbone bushes", "ARRIVED", 7);
        String path = "/api/parts/" + id + "/inspection";
        long before = count("select count(*) from inspection where part_id = '" + id + "'");
        List<Callable<Integer>> requests = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            Visitor hand = hands.get(i);
            boolean accepts = i % 2 == 0;
            requests.add(() -> hand.send("POST", path, counted(7, accepts)).statusCode());
        }
        List<Integer> answers = together(requests);
        assertThat(Collections.frequency(answers, 200)).as("%s", answers).isEqualTo(1);
        assertThat(count("select count(*) from inspection where part_id = '" + id + "'") - before)
                .isEqualTo(1);
        assertThat(count("select received from part where id = '" + id + "'")).isIn(0L, 7L);
    }

    @Test
    void whatIsFittedForNowStandsInTheRegisterOnce() throws Exception {
        String id = part("wishbone bushes", "ACCEPTED", 8);
        long before = count("select count(*) from fitted_for_now");
        together(
                hands.subList(0, 4),
                "/api/parts/" + id + "/fit",
                Map.of("forNow", true, "gate", "EVENT", "reason", "to see whether it suits"));
        assertThat(count("select count(*) from fitted_for_now") - before).isEqualTo(1);
    }

    @Test
    void outsideWorkComesBackOnce() throws Exception {
        String away = StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.path("kind").asText().equals("OUTWORK")
                        && w.path("status").asText().equals("TODO"))
                .map(w -> w.path("id").asText())
                .findFirst()
                .orElseThrow();
        List<Visitor> leads = List.of(visitor("sef"), visitor("sef"), visitor("mara"));
        together(leads, "/api/outworks/" + away + "/send", Map.of("anyway", true));
        long before = count("select count(*) from work");
        List<Integer> answers = together(
                leads,
                "/api/outworks/" + away + "/return",
                Map.of("jobs", List.of(), "limits", "injectors at their end"));
        assertThat(Collections.frequency(answers, 200)).as("%s", answers).isEqualTo(1);
        assertThat(count("select count(*) from work") - before).isEqualTo(1);
    }

    /** Two thumbs on a box that is ticked: it stays ticked. */
    @Test
    void whatIsBoughtByTwoIsBought() throws Exception {
        hands.get(0).send("POST", "/api/supplies", Map.of("name", "rivets", "quantity", "200", "boughtFrom", ""));
        String id = db.sql("select id from supply where name = 'rivets'")
                .query(String.class)
                .list()
                .get(0);
        together(hands, "/api/supplies/" + id + "/bought", Map.of("bought", true));
        assertThat(count("select count(*) from supply where bought_at is not null and id = '" + id + "'"))
                .isEqualTo(1);
    }

    /** A joint that was written down by other rules than today's is unknown, and keeps nothing else from being read. */
    @Test
    void oneUnreadableJointDoesNotHideTheDesk() throws Exception {
        String part = part("wishbone bushes", "WANTED", 8);
        amend("insert into mate values ('odd', '" + part + "', 'end', 'THREAD', 'as the old one', 'M9 or so', 0)");
        assertThat(call(MARA, "GET", "/api/desk", null).status()).isEqualTo(200);
        assertThat(call(MARA, "GET", "/api/parts/" + part, null)
                        .body()
                        .at("/mates/0/outcome")
                        .asText())
                .isEqualTo("UNKNOWN");
        amend("delete from mate where id = 'odd'");
    }
}
