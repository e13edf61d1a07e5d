package galecrest.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.journal.Journal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Finished builds are put away, found again and taken out; what is filed is in nobody's way and in no plan. */
class HistoryTest extends ServerTest {
    @Autowired
    private HistoryService history;

    @Autowired
    private Journal journal;

    @Autowired
    private JdbcClient db;

    private String build;

    @BeforeEach
    void aFinishedBuild() throws Exception {
        build = newBuild("777", "Selden coupe");
        String first = captured("check the hubs, front, 15 min");
        String second = captured("check the wheels, front, 15 min");
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/links",
                                Map.of(
                                        "firstId",
                                        first,
                                        "thenId",
                                        second,
                                        "type",
                                        "FINISH_START",
                                        "lagMinutes",
                                        0,
                                        "lagWorking",
                                        false,
                                        "because",
                                        ""))
                        .status())
                .isEqualTo(200);
        done(first);
        done(second);
    }

    @AfterEach
    void remove() throws Exception {
        assertThat(call(MARA, "DELETE", "/api/builds/" + build, null).status()).isEqualTo(204);
    }

    private String captured(String text) throws Exception {
        return call(MARA, "POST", "/api/builds/" + build + "/capture", Map.of("text", text))
                .body()
                .get("workId")
                .asText();
    }

    private void done(String work) throws Exception {
        assertThat(call(MARA, "POST", "/api/works/" + work + "/done", null).status())
                .isEqualTo(204);
    }

    private boolean onTheBoard() throws Exception {
        for (JsonNode car : board().get("cars")) {
            if (car.get("id").asText().equals(build)) {
                return true;
            }
        }
        return false;
    }

    private long worksOnTheBoard() throws Exception {
        return db.sql("select count(*) from work_here where build_id = :id")
                .param("id", build)
                .query(Long.class)
                .single();
    }

    private JsonNode found(String text) throws Exception {
        return call(SEF, "GET", "/api/history?text=" + text, null).body();
    }

    private int put(String what) throws Exception {
        return call(MARA, "POST", "/api/builds/" + build + "/" + what, null).status();
    }

    @Test
    void whatIsFinishedIsPutAwayAndFoundAgain() throws Exception {
        assertThat(onTheBoard()).isTrue();
        assertThat(put("put-away")).isEqualTo(204);
        assertThat(onTheBoard()).isFalse();
        assertThat(worksOnTheBoard()).isZero();
        assertThat(found("selden")).hasSize(1);
        assertThat(found("777").get(0).get("jobs").asInt()).isEqualTo(2);
        assertThat(found("nothing%20like%20it")).isEmpty();
        assertThat(call(MARA, "GET", "/api/ledger/" + build, null).status())
                .as("its money is on record")
                .isEqualTo(200);
        assertThat(call(MARA, "GET", "/api/snapshot", null).body().toString()).doesNotContain(build);
        assertThat(put("put-away")).as("twice").isEqualTo(404);
        assertThat(put("take-out")).isEqualTo(204);
        assertThat(onTheBoard()).isTrue();
        assertThat(worksOnTheBoard()).isEqualTo(2);
        assertThat(call(SEF, "POST", "/api/builds/" + build + "/put-away", null).status())
                .isEqualTo(403);
    }

    @Test
    void workToDoKeepsItOnTheFloor() throws Exception {
        captured("check the belts, cockpit, 15 min");
        Answer refused = call(MARA, "POST", "/api/builds/" + build + "/put-away", null);
        assertThat(refused.at("build")).contains("work left");
        assertThat(onTheBoard()).isTrue();
    }

    /** Whoever finds more to do on it need not know that it was put away. */
    @Test
    void newWorkTakesItOutAgainAndUndoPutsItBack() throws Exception {
        assertThat(put("put-away")).isEqualTo(204);
        captured("check the belts, cockpit, 15 min");
        assertThat(onTheBoard()).isTrue();
        undo(MARA, 1);
        assertThat(onTheBoard()).isFalse();
    }

    /** Two weeks after the last job it goes by itself; its work is filed, opened again it is not. */
    @Test
    void tidyingPutsAwayWhatStandsFinished() throws Exception {
        history.tidy();
        assertThat(onTheBoard()).as("just finished").isTrue();
        journal.change("long ago", () -> {
            db.sql("update work set done_at = done_at - interval '15 days' where build_id = :id")
                    .param("id", build)
                    .update();
        });
        history.tidy();
        assertThat(onTheBoard()).isFalse();
        assertThat(filed()).isEqualTo(2);
        history.tidy();
        String work = db.sql("select id from work where build_id = :id order by position limit 1")
                .param("id", build)
                .query(String.class)
                .single();
        assertThat(put("take-out")).isEqualTo(204);
        assertThat(filed()).isZero();
        assertThat(call(MARA, "POST", "/api/works/" + work + "/more", Map.of("minutes", 30))
                        .status())
                .isEqualTo(204);
        history.tidy();
        assertThat(onTheBoard()).isTrue();
        done(work);
    }

    private long filed() {
        return db.sql("select count(*) from work where build_id = :id and filed")
                .param("id", build)
                .query(Long.class)
                .single();
    }

    /** Filing is no change of anybody's: the journal says nothing of it. */
    @Test
    void filingIsNotInTheJournal() throws Exception {
        assertThat(put("put-away")).isEqualTo(204);
        List<Long> before = List.of(journal.last(), rows());
        history.tidy();
        assertThat(filed()).isEqualTo(2);
        assertThat(List.of(journal.last(), rows())).isEqualTo(before);
    }

    private long rows() {
        return db.sql("select count(*) from change_row").query(Long.class).single();
    }
}
