package galecrest.server.money;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.io.StringReader;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The ledger of a build: estimate, payments and the lines of the invoice, which add up. */
class MoneyTest extends ServerTest {
    private String car() throws Exception {
        return find("cars", "number", "61").get("id").asText();
    }

    private JsonNode ledger() throws Exception {
        return call(MARA, "GET", "/api/ledger/" + car(), null).body();
    }

    private static BigDecimal money(JsonNode at) {
        return new BigDecimal(at.asText());
    }

    private void undo(int times) throws Exception {
        for (int i = 0; i < times; i++) {
            assertThat(call(MARA, "POST", "/api/undo", null).status()).isLessThan(300);
        }
    }

    private static Map<String, Object> estimate(Object hours, Object parts, Object outwork, Object percent) {
        return Map.of("hours", hours, "parts", parts, "outwork", outwork, "allowancePercent", percent);
    }

    @Test
    void anEstimateIsHoursPartsAndOutworkWithItsAllowance() throws Exception {
        BigDecimal rate = money(call(MARA, "GET", "/api/ledger", null).body().get("hourRate"));
        assertThat(call(MARA, "PUT", "/api/ledger/" + car() + "/estimate", estimate(100, 2500, 800.50, 10))
                        .status())
                .isEqualTo(204);
        JsonNode agreed = ledger().get("estimate");
        BigDecimal bare = rate.multiply(new BigDecimal(100)).add(new BigDecimal("3300.50"));
        assertThat(money(agreed.get("allowance"))).isEqualByComparingTo(bare.multiply(new BigDecimal("0.1")));
        assertThat(money(agreed.get("total"))).isEqualByComparingTo(bare.multiply(new BigDecimal("1.1")));
        undo(1);
    }

    /** Bought, worked on, sold: what is left is the sale less both. */
    @Test
    void aProjectHasItsSum() throws Exception {
        BigDecimal spent = money(ledger().at("/project/spent"));
        assertThat(spent).isEqualByComparingTo(money(ledger().at("/summary/spent")));
        assertThat(call(MARA, "PUT", "/api/ledger/" + car() + "/project", Map.of("bought", -1))
                        .at("bought"))
                .isNotEmpty();
        assertThat(call(MARA, "PUT", "/api/ledger/" + car() + "/project", Map.of("bought", 4000, "sold", 30000))
                        .status())
                .isEqualTo(204);
        assertThat(money(ledger().at("/project/result"))).isEqualByComparingTo(new BigDecimal(26000).subtract(spent));
        undo(1);
    }

    @Test
    void whatIsPaidIsNoLongerOwed() throws Exception {
        BigDecimal owed = money(ledger().at("/summary/owed"));
        BigDecimal paid = money(ledger().at("/summary/paid"));
        assertThat(call(
                                MARA,
                                "POST",
                                "/api/ledger/" + car() + "/payments",
                                Map.of("amount", 1234.56, "note", "at hand"))
                        .status())
                .isEqualTo(204);
        JsonNode after = ledger();
        assertThat(money(after.at("/summary/owed"))).isEqualByComparingTo(owed.subtract(new BigDecimal("1234.56")));
        assertThat(money(after.at("/summary/paid"))).isEqualByComparingTo(paid.add(new BigDecimal("1234.56")));
        JsonNode payment = after.get("payments").get(after.get("payments").size() - 1);
        for (JsonNode one : after.get("payments")) {
            payment = one.get("note").asText().equals("at hand") ? one : payment;
        }
        assertThat(call(MARA, "DELETE", "/api/payments/" + payment.get("id").asText(), null)
                        .status())
                .isEqualTo(204);
        assertThat(money(ledger().at("/summary/owed"))).isEqualByComparingTo(owed);
        undo(2);
    }

    /** The file is read back by a parser of its own (Commons CSV, RFC 4180). */
    @Test
    void theInvoiceAddsUp() throws Exception {
        String file = mvc.perform(MockMvcRequestBuilders.get("/api/ledger/" + car() + "/invoice.csv")
                        .cookie(session(MARA)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<CSVRecord> rows;
        try (CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(file))) {
            rows = parser.getRecords();
        }
        BigDecimal net = BigDecimal.ZERO;
        for (CSVRecord row : rows.subList(0, rows.size() - 1)) {
            BigDecimal line = new BigDecimal(row.get("net"));
            assertThat(line)
                    .isEqualByComparingTo(new BigDecimal(row.get("quantity"))
                            .multiply(new BigDecimal(row.get("unit price")))
                            .setScale(2, RoundingMode.HALF_UP));
            net = net.add(line);
        }
        assertThat(net).isPositive();
        CSVRecord tax = rows.get(rows.size() - 1);
        BigDecimal percent = money(call(MARA, "GET", "/api/ledger", null).body().get("taxPercent"));
        assertThat(tax.get("kind")).isEqualTo("tax");
        assertThat(new BigDecimal(tax.get("net")))
                .isEqualByComparingTo(net.multiply(percent).movePointLeft(2).setScale(2, RoundingMode.HALF_UP));
    }

    @Test
    void amountsThatMakeNoSense() throws Exception {
        String path = "/api/ledger/" + car() + "/estimate";
        assertThat(call(MARA, "PUT", path, estimate(-1, 0, 0, 0)).at("hours")).contains("between 0 and 20 000");
        assertThat(call(MARA, "PUT", path, estimate(1.005, 0, 0, 0)).at("hours"))
                .contains("hundredth");
        assertThat(call(MARA, "PUT", path, estimate(1, 0, 0, 101)).at("allowancePercent"))
                .contains("100 per cent");
        assertThat(call(MARA, "PUT", path, estimate(1, -5, 0, 0)).at("parts")).isNotEmpty();
        assertThat(call(MARA, "PUT", "/api/ledger", Map.of("currency", "euro", "hourRate", 60, "taxPercent", 20))
                        .at("currency"))
                .contains("ISO 4217");
        assertThat(call(SEF, "PUT", path, estimate(1, 0, 0, 0)).status()).isEqualTo(403);
        assertThat(call(MARA, "GET", "/api/ledger/none", null).status()).isEqualTo(404);
    }

    @Test
    void allBuildsAreInTheBooks() throws Exception {
        JsonNode books = call(MARA, "GET", "/api/ledger", null).body();
        assertThat(books.get("builds")).hasSameSizeAs(board().get("cars"));
        assertThat(books.get("currency").asText()).matches("[A-Z]{3}");
        for (JsonNode build : books.get("builds")) {
            assertThat(money(build.get("hoursAgreed"))).isGreaterThanOrEqualTo(BigDecimal.ZERO);
            JsonNode summary = call(
                            MARA, "GET", "/api/ledger/" + build.get("buildId").asText(), null)
                    .body()
                    .get("summary");
            assertThat(summary).isEqualTo(build);
        }
    }

    private static Map<String, Object> change(String title, Object hours, Object parts) {
        return Map.of(
                "title", title, "note", "", "hours", hours, "skill", "fit", "gate", "EVENT", "parts", parts, "outwork",
                0);
    }

    /** Hours by the rate, and the parts: nothing is written by asking. */
    @Test
    void askingWhatAChangeCostsWritesNothing() throws Exception {
        BigDecimal rate = money(call(MARA, "GET", "/api/ledger", null).body().get("hourRate"));
        String before = record();
        JsonNode orders = ledger().get("changes");
        Answer priced =
                call(MARA, "POST", "/api/ledger/" + car() + "/changes/price", change("A second pump", 3.5, 210.25));
        assertThat(priced.status()).isEqualTo(200);
        assertThat(money(priced.body().get("total")))
                .isEqualByComparingTo(rate.multiply(new BigDecimal("3.5"))
                        .add(new BigDecimal("210.25"))
                        .setScale(2, RoundingMode.HALF_UP));
        assertThat(record()).isEqualTo(before);
        assertThat(ledger().get("changes")).isEqualTo(orders);
        assertThat(call(BO, "POST", "/api/ledger/" + car() + "/changes/price", change("x", 1, 0))
                        .status())
                .isEqualTo(403);
    }

    /** Accepted, it is agreed and its work is in the plan; refused, nothing of it is; decided twice, the first counts. */
    @Test
    void aChangeIsWorkOnceItIsAcceptedAndNeverTwice() throws Exception {
        BigDecimal agreed = money(ledger().at("/summary/hoursAgreed"));
        int works = board().get("works").size();
        String path = "/api/ledger/" + car() + "/changes";
        String wanted = call(MARA, "POST", path, change("A second pump", 4, 0))
                .body()
                .get("id")
                .asText();
        String unwanted = call(MARA, "POST", path, change("A third pump", 9, 0))
                .body()
                .get("id")
                .asText();
        assertThat(money(ledger().at("/summary/hoursAgreed"))).isEqualByComparingTo(agreed);
        assertThat(board().get("works")).hasSize(works);
        String decide = "/api/changes/%s/decision";
        assertThat(call(MARA, "POST", decide.formatted(unwanted), Map.of("accept", false, "note", "too dear"))
                        .status())
                .isEqualTo(204);
        assertThat(board().get("works")).hasSize(works);
        assertThat(call(MARA, "POST", decide.formatted(wanted), Map.of("accept", true, "note", " "))
                        .at("note"))
                .contains("A word for the record");
        assertThat(call(MARA, "POST", decide.formatted(wanted), Map.of("accept", true, "note", "by telephone"))
                        .status())
                .isEqualTo(204);
        assertThat(board().get("works")).hasSize(works + 1);
        assertThat(money(ledger().at("/summary/hoursAgreed"))).isEqualByComparingTo(agreed.add(new BigDecimal("4")));
        assertThat(call(MARA, "POST", decide.formatted(wanted), Map.of("accept", false, "note", "no"))
                        .status())
                .isEqualTo(409);
        assertThat(board().get("works")).hasSize(works + 1);
        undo(4);
        assertThat(board().get("works")).hasSize(works);
        assertThat(money(ledger().at("/summary/hoursAgreed"))).isEqualByComparingTo(agreed);
    }
}
