package galecrest.server.changeorder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;

/** What is found on a customer's car: under the house limit it goes ahead, over it the customer says so first. */
class FindingForCustomerTest extends ServerTest {
    private static final String CAR = "61";
    private static final String RAW = "Bodged wiring behind the dash";

    private String car() throws Exception {
        return find("cars", "number", CAR).get("id").asText();
    }

    private void goesAheadUpTo(Object limit) throws Exception {
        JsonNode books = call(MARA, "GET", "/api/ledger", null).body();
        Map<String, Object> rates = new HashMap<>();
        rates.put("currency", books.get("currency").asText());
        rates.put("hourRate", books.get("hourRate").decimalValue());
        rates.put("taxPercent", books.get("taxPercent").decimalValue());
        rates.put("findingLimit", limit);
        assertThat(call(MARA, "PUT", "/api/ledger", rates).status()).isEqualTo(204);
    }

    private String found(Account who, String text) throws Exception {
        Answer answer = call(who, "POST", "/api/builds/" + car() + "/capture", Map.of("text", text));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().get("workId").asText();
    }

    private JsonNode asked(String work) throws Exception {
        for (JsonNode one : call(SEF, "GET", "/api/findings", null).body()) {
            if (one.get("workId").asText().equals(work)) {
                return one;
            }
        }
        return MissingNode.getInstance();
    }

    private Map<String, Object> form(String work) {
        return Map.of(
                "title",
                "Make the dash loom safe",
                "note",
                "",
                "hours",
                6,
                "skill",
                "wire",
                "gate",
                "EVENT",
                "parts",
                40,
                "outwork",
                0,
                "workId",
                work);
    }

    private String putToCustomer(String work) throws Exception {
        Answer put = call(MARA, "POST", "/api/ledger/" + car() + "/changes", form(work));
        assertThat(put.status()).as(put.body().toString()).isEqualTo(200);
        return put.body().get("id").asText();
    }

    private void decide(String order, boolean accept) throws Exception {
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/changes/" + order + "/decision",
                                Map.of("accept", accept, "note", "on the phone"))
                        .status())
                .isEqualTo(204);
    }

    private BigDecimal agreedHours() throws Exception {
        return call(MARA, "GET", "/api/ledger/" + car(), null)
                .body()
                .at("/summary/hoursAgreed")
                .decimalValue();
    }

    @Test
    void aSmallFindingGoesAheadAndALargeOneWaitsForTheCustomer() throws Exception {
        goesAheadUpTo(200);
        String small = found(BO, "found chafed hose, 1 h");
        assertThat(find("works", "id", small).get("hold")).isNull();
        String large = found(BO, "found " + RAW + ", 6 h");
        JsonNode work = find("works", "id", large);
        assertThat(work.at("/hold/reason").asText()).isEqualTo("DECIDE");
        assertThat(work.at("/hold/note").asText())
                .contains("the customer's yes")
                .doesNotContainPattern("\\d");
        assertThat(Instant.parse(work.at("/placed/start").asText()).atZone(ZONE).toLocalDate())
                .as("nobody's work of today")
                .isAfter(START.atZone(ZONE).toLocalDate());
        BigDecimal rate =
                call(MARA, "GET", "/api/ledger", null).body().get("hourRate").decimalValue();
        assertThat(asked(large).get("price").decimalValue()).isEqualByComparingTo(rate.multiply(new BigDecimal(6)));
        assertThat(asked(large).get("state")).isNull();
        assertThat(asked(small).isMissingNode()).isTrue();
        undo(BO, 2);
        undo(MARA, 1);
    }

    /** Without a limit, all goes ahead; so does what is written down as a job by a lead. */
    @Test
    void withoutALimitNothingWaits() throws Exception {
        goesAheadUpTo(null);
        String work = found(BO, "found " + RAW + ", 60 h");
        assertThat(find("works", "id", work).get("hold")).isNull();
        goesAheadUpTo(1);
        String job = found(SEF, RAW + ", 6 h");
        assertThat(find("works", "id", job).get("hold")).isNull();
        undo(SEF, 1);
        undo(BO, 1);
        undo(MARA, 2);
    }

    @Test
    void theCustomersYesPlansItOnceWithItsPartAndItsPrice() throws Exception {
        goesAheadUpTo(200);
        String work = found(BO, "found " + RAW + ", 6 h");
        int works = board().get("works").size();
        BigDecimal agreed = agreedHours();
        String order = putToCustomer(work);
        assertThat(asked(work).get("state").asText()).isEqualTo("OFFERED");
        assertThat(call(MARA, "POST", "/api/ledger/" + car() + "/changes", form(work))
                        .status())
                .as("asked once")
                .isEqualTo(409);
        assertThat(call(MARA, "POST", "/api/ledger/" + car() + "/changes/price", form(work))
                        .status())
                .isEqualTo(200);
        assertThat(find("works", "id", work).get("hold"))
                .as("pricing lifts nothing")
                .isNotNull();
        decide(order, true);
        JsonNode after = find("works", "id", work);
        assertThat(after.get("hold")).isNull();
        assertThat(after.at("/job/parts")).hasSize(1);
        assertThat(board().get("works")).hasSize(works);
        assertThat(agreedHours()).isEqualByComparingTo(agreed.add(new BigDecimal(6)));
        assertThat(asked(work).isMissingNode()).isTrue();
        undo(MARA, 2);
        undo(BO, 1);
        undo(MARA, 1);
    }

    /** A no does not make it vanish: the shop says what becomes of the car. */
    @Test
    void aNoComesBackToTheManager() throws Exception {
        goesAheadUpTo(200);
        String work = found(BO, "found " + RAW + ", 6 h");
        decide(putToCustomer(work), false);
        assertThat(find("works", "id", work).at("/hold/note").asText()).contains("said no");
        assertThat(asked(work).get("state").asText()).isEqualTo("REFUSED");
        assertThat(asked(work).get("decidedNote").asText()).isEqualTo("on the phone");
        String again = putToCustomer(work);
        assertThat(asked(work).get("state").asText()).isEqualTo("OFFERED");
        decide(again, true);
        assertThat(find("works", "id", work).get("hold")).isNull();
        undo(MARA, 4);
        undo(BO, 1);
        undo(MARA, 1);
    }

    @Test
    void putTwiceAtOnceItIsAskedOnce() throws Exception {
        goesAheadUpTo(200);
        String work = found(BO, "found " + RAW + ", 6 h");
        String path = "/api/ledger/" + car() + "/changes";
        Callable<Integer> put = () -> call(MARA, "POST", path, form(work)).status();
        var both = Executors.newFixedThreadPool(2);
        try {
            var first = both.submit(put);
            var second = both.submit(put);
            assertThat(first.get() + second.get()).isEqualTo(200 + 409);
        } finally {
            both.shutdown();
        }
        undo(MARA, 1);
        undo(BO, 1);
        undo(MARA, 1);
    }

    /** The customer's page has the words meant for them, never those of the shop. */
    @Test
    void theCustomerReadsTheirOwnWords() throws Exception {
        goesAheadUpTo(200);
        String work = found(BO, "found " + RAW + ", 6 h");
        JsonNode link = call(
                        MARA, "POST", "/api/builds/" + car() + "/customer-links", Map.of("days", 30, "money", false))
                .body();
        String path = "/api/customer/" + link.get("path").asText().substring(3);
        assertThat(page(path)).doesNotContain("Bodged").doesNotContain("house limit");
        putToCustomer(work);
        assertThat(call(SEF, "PUT", "/api/works/" + work + "/customer-name", Map.of("name", " Dash loom "))
                        .status())
                .isEqualTo(204);
        assertThat(find("works", "id", work).get("customerName").asText()).isEqualTo("Dash loom");
        assertThat(call(SEF, "PUT", "/api/works/" + work + "/customer-name", Map.of("name", "x".repeat(101)))
                        .at("name"))
                .contains("100");
        JsonNode page = json.readTree(page(path));
        assertThat(page.toString()).doesNotContain("Bodged").contains("Make the dash loom safe");
        assertThat(page.get("waitsForYou").toString()).contains("A decision about: Dash loom");
        JsonNode shop = board();
        for (JsonNode going : page.get("doing")) {
            assertThat(stageOrName(shop, going.asText())).isTrue();
        }
        undo(SEF, 1);
        undo(MARA, 2);
        undo(BO, 1);
        undo(MARA, 1);
    }

    private static boolean stageOrName(JsonNode shop, String said) {
        for (JsonNode work : shop.get("works")) {
            if (said.equals(work.path("stage").asText())
                    || said.equals(work.path("customerName").asText())) {
                return true;
            }
        }
        return false;
    }

    private String page(String path) throws Exception {
        return mvc.perform(get(path)).andReturn().getResponse().getContentAsString(StandardCharsets.UTF_8);
    }

    /** Neither a hand's start nor its release goes round the customer; a lead may decide so. */
    @Test
    void aHandDoesNotGoRoundTheCustomer() throws Exception {
        goesAheadUpTo(200);
        String work = found(BO, "found " + RAW + ", 6 h");
        for (String way : new String[] {"start", "release"}) {
            Answer refused = call(BO, "POST", "/api/works/" + work + "/" + way, null);
            assertThat(refused.at("start")).as(way).contains("customer's yes");
        }
        assertThat(call(SEF, "POST", "/api/works/" + work + "/release", null).status())
                .isEqualTo(204);
        assertThat(find("works", "id", work).get("hold")).isNull();
        undo(SEF, 1);
        undo(BO, 1);
        undo(MARA, 1);
    }

    /** A yes lifts what waited for it, and nothing that somebody has said since. */
    @Test
    void aYesLeavesAnotherHold() throws Exception {
        goesAheadUpTo(200);
        String work = found(BO, "found " + RAW + ", 6 h");
        String order = putToCustomer(work);
        assertThat(call(SEF, "POST", "/api/works/" + work + "/hold", Map.of("reason", "PART", "note", "the loom tape"))
                        .status())
                .isEqualTo(204);
        decide(order, true);
        assertThat(find("works", "id", work).at("/hold/reason").asText()).isEqualTo("PART");
        undo(MARA, 1);
        undo(SEF, 1);
        undo(MARA, 1);
        undo(BO, 1);
        undo(MARA, 1);
    }
}
