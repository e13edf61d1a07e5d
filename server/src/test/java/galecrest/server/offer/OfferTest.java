package galecrest.server.offer;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;
import org.springframework.transaction.PlatformTransactionManager;

/**
 * A better plan is looked for while nobody asks, offered in words, and changes nothing until it is taken. The shop is made
 * to go by a plan that is plainly bad: a job was put off until its date was missed, that was published, and the reason
 * has gone.
 */
@TestPropertySource(properties = "galecrest.live=true")
@DirtiesContext
class OfferTest extends ServerTest {
    @Autowired
    private JdbcClient db;

    @Autowired
    private PlatformTransactionManager transactions;

    private String date;
    private long before;

    @BeforeEach
    void aSessionOfItsOwn() throws Exception {
        signIn(MARA);
        before = board().path("change").asLong();
    }

    /** The load of car 61 was put off, and need not have been. */
    private void putOff() throws Exception {
        date = find("commitments", "name", "Greyfell hill climb").path("id").asText();
        call(MARA, "DELETE", "/api/pins/" + putOff("61", 9), null);
    }

    /** The load of a car is put off until its date is missed, and that is published; the pin that did it. */
    private String putOff(String car, int days) throws Exception {
        String work = workOf(car, "Load").path("id").asText();
        String pin = notBefore(work, days);
        assertThat(margin()).isNegative();
        assertThat(call(MARA, "POST", "/api/plan/publish", null).status()).isEqualTo(204);
        return pin;
    }

    private String notBefore(String work, int days) throws Exception {
        return call(MARA, "POST", "/api/pins", Map.of("workId", work, "kind", "NOT_BEFORE", "at", at(days, "08:00")))
                .body()
                .path("id")
                .asText();
    }

    @AfterEach
    void asItWas() throws Exception {
        for (long changes = board().path("change").asLong(); changes > 0 && standsSince(); changes--) {
            assertThat(call(MARA, "POST", "/api/undo", null).status()).isEqualTo(200);
        }
        // What Galecrest took by the rule is no change of this session: it is thrown away, so that nobody's draft holds
        // it.
        amend("delete from taken_plan");
        db.sql("update change set dropped = true where draft and actor = 'Galecrest' and id > :before")
                .param("before", before)
                .update();
        amend("delete from offer");
        db.sql("delete from analysis where kind = 'OFFER'").update();
    }

    private void amend(String sql) {
        new Amended(db, transactions).by(sql);
    }

    /** Whether a change of this test still stands. */
    private boolean standsSince() {
        return db.sql("""
                        select exists (select 1 from change c where c.id > :before and c.undoes is null and c.actor <> 'Galecrest'
                            and not exists (select 1 from change u where u.undoes = c.id))""").param("before", before).query(Boolean.class).single();
    }

    private long margin() throws Exception {
        return find("commitments", "id", date).path("marginMinutes").asLong();
    }

    private JsonNode offers() throws Exception {
        return call(MARA, "GET", "/api/offers", null).body();
    }

    private JsonNode offer() throws Exception {
        await(() -> !offers().isEmpty());
        return offers().get(0);
    }

    @Test
    void whatNobodyNeedsAnyMoreStaysUntilSomethingBetterIsTaken() throws Exception {
        putOff();
        long stands = margin();
        assertThat(stands).as("nothing is moved by taking the reason away").isNegative();
        JsonNode offer = offer();
        assertThat(offer.path("headline").asText())
                .contains("Greyfell hill climb")
                .contains("to spare");
        assertThat(offer.path("detail").asText()).containsPattern("job.*(none before|from today)");
        assertThat(offer.path("moves").toString()).contains("Load");
        assertThat(margin()).as("an offer changes nothing").isEqualTo(stands);
        String path = "/api/offers/" + offer.path("id").asText();

        assertThat(call(BO, "POST", path + "/take", null).status()).isEqualTo(403);
        assertThat(call(SEF, "POST", path + "/take", null).status()).isEqualTo(403);
        assertThat(call(BO, "GET", "/api/offers", null).status()).isEqualTo(403);
        assertThat(call(MARA, "POST", path + "/take", null).status()).isEqualTo(204);
        assertThat(margin()).isNotNegative();
        assertThat(call(MARA, "POST", path + "/take", null).status()).isEqualTo(422);
        assertThat(call(MARA, "POST", "/api/undo", null).status()).isEqualTo(200);
        assertThat(margin()).isEqualTo(stands);
        await(() -> !offers().isEmpty());
    }

    /** With the house's leave it is taken unasked, but only where it changes nothing for as many days as were said. */
    @Test
    void byTheHouseRuleItIsTakenUnasked() throws Exception {
        date = find("commitments", "name", "Winter cup, round two").path("id").asText();
        rule(2, 13);
        putOff("19", 30);
        notBefore(workOf("19", "Load").path("id").asText(), 8);
        assertThat(offer().path("detail").asText()).containsPattern("none before|from today");
        assertThat(margin()).as("it changes something within two weeks").isNegative();
        rule(2, 2);
        await(() -> margin() >= 0);
        assertThat(call(MARA, "GET", "/api/journal", null).body().toString()).contains("took a better plan");
    }

    private void rule(int gainHours, int afterDays) throws Exception {
        ObjectNode rules = (ObjectNode) call(MARA, "GET", "/api/shop", null).body();
        rules.put("takeGainHours", gainHours).put("takeAfterDays", afterDays);
        assertThat(call(MARA, "PUT", "/api/shop", rules).status()).isEqualTo(204);
    }

    @Test
    void twoThatTakeItAtOnceTakeItOnce() throws Exception {
        putOff();
        String path = "/api/offers/" + offer().path("id").asText() + "/take";
        ExecutorService both = Executors.newFixedThreadPool(2);
        Callable<Integer> take = () -> call(MARA, "POST", path, null).status();
        List<Integer> answers = new java.util.ArrayList<>();
        for (Future<Integer> answer : both.invokeAll(List.of(take, take))) {
            answers.add(answer.get());
        }
        both.shutdown();
        assertThat(answers).containsExactlyInAnyOrder(204, 422);
    }

    /** It was worth little when it was found; by the time that somebody turned it down it was worth a lot. */
    @Test
    void whatHasGrownBeforeItWasTurnedDownIsNotMadeAgain() throws Exception {
        putOff();
        String path = "/api/offers/" + offer().path("id").asText();
        amend("update offer set gain = 2");
        assertThat(call(MARA, "POST", path + "/dismiss", null).status()).isEqualTo(204);
        assertThat(db.sql("select gain from offer_answer").query(Double.class).single())
                .isGreaterThan(2);
        assertThat(offers()).isEmpty();
    }

    @Test
    void keptForLaterItStaysTurnedDownItIsNotMadeAgain() throws Exception {
        putOff();
        String path = "/api/offers/" + offer().path("id").asText();
        assertThat(call(MARA, "POST", path + "/keep", null).status()).isEqualTo(204);
        await(() -> !offers().isEmpty());
        assertThat(offers().toString()).contains("\"kept\":true");
        assertThat(call(MARA, "POST", path + "/dismiss", null).status()).isEqualTo(204);
        long change = board().path("change").asLong();
        await(() ->
                db.sql("select count(*) from analysis where kind = 'OFFER' and change_id >= :change and state = 'DONE'")
                                .param("change", change)
                                .query(Long.class)
                                .single()
                        > 0);
        for (JsonNode again : offers()) {
            assertThat(again.path("id").asText()).isNotEqualTo(path.substring("/api/offers/".length()));
        }
        assertThat(db.sql("select count(*) from offer_answer where state = 'DISMISSED'")
                        .query(Long.class)
                        .single())
                .isEqualTo(1);
    }
}
