package galecrest.server.csv;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Sheets as spreadsheets save them, here and elsewhere. */
class CsvDialectTest {
    private static Map<String, String> first(String text, Charset charset) throws CsvTable.Unreadable {
        return CsvTable.read(text.getBytes(charset), 10).rows().get(0);
    }

    @Test
    void semicolonsWithCommasInNumbersAndDaysWithPoints() throws Exception {
        Map<String, String> row = first(
                "name;price;comes;note\r\nSeal, rear;12,50;3.12.2026 9:30;a, b; \r\n".replace("; \r", "\r"),
                StandardCharsets.UTF_8);
        assertThat(row)
                .containsEntry("name", "Seal, rear")
                .containsEntry("price", "12.50")
                .containsEntry("comes", "2026-12-03 9:30")
                .containsEntry("note", "a, b");
    }

    /** Of a sheet with commas nothing is guessed: "1,5" in quotes is text there. */
    @Test
    void commasLeaveCellsAsTheyAre() throws Exception {
        assertThat(first("name,price\r\n\"1,5\",3.12.2026\r\n", StandardCharsets.UTF_8))
                .containsEntry("name", "1,5")
                .containsEntry("price", "3.12.2026");
    }

    @Test
    void tabsAndWhatWasUsualBeforeUtf8() throws Exception {
        assertThat(first("name\tprice\r\nStoßdämpfer\t-1,25\r\n", Charset.forName("windows-1252")))
                .containsEntry("name", "Stoßdämpfer")
                .containsEntry("price", "-1.25");
    }

    /** A header in quotes may have the other sign in it. */
    @Test
    void whatPartsColumnsStandsOutsideQuotes() throws Exception {
        assertThat(first("\"name; long\",price\r\na,1\r\n", StandardCharsets.UTF_8))
                .containsEntry("name; long", "a")
                .containsEntry("price", "1");
        assertThat(first("\"a, b, c\";price\r\nx;1\r\n", StandardCharsets.UTF_8))
                .containsEntry("price", "1");
    }
}
