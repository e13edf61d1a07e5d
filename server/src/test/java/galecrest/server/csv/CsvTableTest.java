package galecrest.server.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tables there and back, and files that are none. */
class CsvTableTest {
    private static final List<String> HEAD = List.of("name", "note", "price");
    private static final String LETTERS = "ab ,;\"'\n=+-@\t.1ÄŁΩ→";

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static String cell(Random random) {
        String some = random.ints(random.nextInt(9), 0, LETTERS.length())
                .mapToObj(i -> "" + LETTERS.charAt(i))
                .collect(Collectors.joining());
        // An apostrophe before a sign of a formula is what a guard looks like; nobody begins a cell so.
        return some.matches("(?s)'[=+\\-@\\t].*") ? "x" + some : some;
    }

    @Test
    void whatIsWrittenIsReadAsItWas() throws Exception {
        Random random = new Random(3);
        for (int round = 0; round < 500; round++) {
            List<List<String>> rows = new ArrayList<>();
            StringBuilder file = new StringBuilder(CsvTable.line(HEAD.stream()));
            for (int r = random.nextInt(6); r >= 0; r--) {
                List<String> row = IntStream.range(0, HEAD.size())
                        .mapToObj(c -> cell(random))
                        .toList();
                rows.add(row);
                file.append(CsvTable.line(row.stream()));
            }
            CsvTable.Read back = CsvTable.read(bytes(file.toString()), 100);
            assertThat(back.header()).isEqualTo(HEAD);
            assertThat(back.rows().stream()
                            .map(row -> HEAD.stream().map(row::get).toList())
                            .toList())
                    .isEqualTo(rows);
        }
    }

    /** What a spreadsheet would run is text in it (OWASP, CSV injection). */
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+1", "-1", "@sum", "\tx", "\rx"})
    void noCellIsAFormula(String cell) throws Exception {
        String line = CsvTable.line(Stream.of(cell, "plain"));
        assertThat(line.replace("\"", "")).startsWith("'" + cell);
        CsvTable.Read back = CsvTable.read(bytes("a,b\r\n" + line), 10);
        assertThat(back.rows().get(0)).containsEntry("a", cell).containsEntry("b", "plain");
    }

    @Test
    void halfOfEuropeSavesWithSemicolonsAndAMarkInFront() throws Exception {
        CsvTable.Read read = CsvTable.read(bytes("\uFEFF Name ;NOTE\r\nLoom;a, b\r\n\r\n"), 10);
        assertThat(read.header()).containsExactly("name", "note");
        assertThat(read.rows()).containsExactly(Map.of("name", "Loom", "note", "a, b"));
    }

    @Test
    void oneRowMoreThanIsWantedIsReadSoThatItCanBeSaid() throws Exception {
        String many = "name\n" + "x\n".repeat(50);
        assertThat(CsvTable.read(bytes(many), 10).rows()).hasSize(11);
    }

    @Test
    void whatIsNoTableIsSaidInWords() {
        byte[] large = new byte[3 * 1024 * 1024];
        Arrays.fill(large, (byte) 'x');
        assertThatThrownBy(() -> CsvTable.read(large, 10)).hasMessageContaining("3 MB");
        assertThatThrownBy(() -> CsvTable.read(new byte[0], 10)).hasMessageContaining("empty");
        assertThatThrownBy(() -> CsvTable.read(bytes("a,b\0"), 10)).hasMessageContaining("no text file");
        assertThatThrownBy(() -> CsvTable.read(bytes("a,b\n\"never closed"), 10))
                .isInstanceOf(CsvTable.Unreadable.class)
                .hasMessageContaining("no CSV file");
    }
}
