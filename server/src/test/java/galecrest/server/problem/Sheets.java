package galecrest.server.problem;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** Tables spoilt in the ways in which tables are: by hand, by another program, by being no table at all. */
final class Sheets {
    private static final List<String> CELLS = List.of(
            "",
            " ",
            "yes",
            "-1",
            "0",
            "1e9",
            "99999999999999999999",
            "12,50",
            "12.50 €",
            "tomorrow",
            "2026-02-30",
            "2026-11-30 25:00",
            "292278994-08-17",
            "=1+1",
            ":",
            "+",
            "a +99999999999h",
            "fit:boss",
            "\"",
            "\"half a quote",
            "two\nlines",
            "\u0000",
            "é̀🔧",
            "x".repeat(400));

    private final Random random;

    Sheets(Random random) {
        this.random = random;
    }

    /** The table with something wrong with it, or perhaps nothing. */
    byte[] spoilt(String table) {
        List<String> lines = new ArrayList<>(Arrays.asList(table.split("\r?\n")));
        for (int i = random.nextInt(4); i > 0; i--) {
            spoil(lines);
        }
        byte[] bytes = String.join("\r\n", lines).getBytes(StandardCharsets.UTF_8);
        return switch (random.nextInt(12)) {
            case 0 -> Arrays.copyOf(bytes, random.nextInt(bytes.length + 1));
            case 1 -> String.join("\n", lines).replace(',', ';').getBytes(StandardCharsets.UTF_8);
            case 2 -> String.join("\r", lines).getBytes(StandardCharsets.UTF_16);
            case 3 -> marked(bytes);
            case 4 ->
                random.ints(60, 0, 256)
                        .collect(ByteArrayOutputStream::new, ByteArrayOutputStream::write, (a, b) -> {})
                        .toByteArray();
            default -> bytes;
        };
    }

    private static byte[] marked(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(new byte[] {(byte) 0xEF, (byte) 0xBB, (byte) 0xBF});
        out.writeBytes(bytes);
        return out.toByteArray();
    }

    private void spoil(List<String> lines) {
        int line = random.nextInt(lines.size());
        switch (random.nextInt(6)) {
            case 0 -> lines.add(lines.get(line));
            case 1 -> lines.remove(lines.size() > 1 ? line : 0);
            case 2 -> lines.add(line, "");
            default -> {
                List<String> cells =
                        new ArrayList<>(Arrays.asList(lines.get(line).split(",", -1)));
                cells.set(random.nextInt(cells.size()), CELLS.get(random.nextInt(CELLS.size())));
                lines.set(line, String.join(",", cells));
            }
        }
        if (lines.isEmpty()) {
            lines.add("");
        }
    }
}
