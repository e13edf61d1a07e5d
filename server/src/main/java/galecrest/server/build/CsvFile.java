package galecrest.server.build;

import galecrest.core.build.Job;
import galecrest.core.build.JobSheet;
import galecrest.core.build.Link;
import galecrest.core.build.WorkId;
import galecrest.core.shop.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Job sheets as CSV files (RFC 4180), in UTF-8, with commas or semicolons. */
final class CsvFile {
    private static final int MOST_BYTES = 2 * 1024 * 1024;
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private CsvFile() {}

    static JobSheet.Read read(byte[] file, Set<String> skills, Set<String> stations) {
        if (file.length > MOST_BYTES) {
            return wrong("The file has " + file.length / 1024 / 1024 + " MB; a job sheet has at most 2 MB.");
        }
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            return wrong("The file is not in UTF-8. Save it again as \"CSV UTF-8\".");
        }
        if (!text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK) {
            text = text.substring(1);
        }
        if (text.isBlank()) {
            return wrong("The file is empty.");
        }
        if (text.indexOf('\0') >= 0) {
            return wrong("This is no text file.");
        }
        return parse(text, skills, stations);
    }

    private static JobSheet.Read wrong(String message) {
        return new JobSheet.Read(List.of(), List.of(new Problem("file", message)));
    }

    private static JobSheet.Read parse(String text, Set<String> skills, Set<String> stations) {
        String firstLine = text.lines().findFirst().orElse("");
        char delimiter = firstLine.contains(";") && !firstLine.contains(",") ? ';' : ',';
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setAllowMissingColumnNames(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> header = parser.getHeaderNames().stream()
                    .map(h -> h.strip().toLowerCase(Locale.ROOT))
                    .toList();
            List<Map<String, String>> rows = new ArrayList<>();
            for (CSVRecord row : parser) {
                rows.add(cells(row));
                if (rows.size() > JobSheet.MOST_ROWS) {
                    break;
                }
            }
            return JobSheet.read(header, rows, skills, stations);
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            return wrong("This is no CSV file that can be read: " + e.getMessage());
        }
    }

    private static Map<String, String> cells(CSVRecord row) {
        return row.toMap().entrySet().stream()
                .collect(Collectors.toMap(
                        e -> e.getKey().strip().toLowerCase(Locale.ROOT), e -> unguarded(e.getValue()), (a, b) -> a));
    }

    /** Cells that a spreadsheet would take for a formula are written with an apostrophe in front. */
    private static String guarded(String cell) {
        return !cell.isEmpty() && "=+-@".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    private static String unguarded(String cell) {
        boolean guarded = cell.length() > 1 && cell.charAt(0) == '\'' && "=+-@".indexOf(cell.charAt(1)) >= 0;
        return guarded ? cell.substring(1) : cell;
    }

    static String write(
            List<Job> jobs,
            Map<WorkId, String> refs,
            List<Link> links,
            Map<String, String> stages,
            Map<String, String> notes) {
        StringBuilder out = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180;
        out.append(format.format(JobSheet.COLUMNS.toArray())).append("\r\n");
        for (Job job : jobs) {
            List<String> cells = new ArrayList<>();
            cells.add(refs.get(job.id()));
            cells.add(stages.getOrDefault(job.id().value(), ""));
            cells.add(job.name());
            cells.add(word(job.zone()));
            cells.add(yes(job.onCar()));
            cells.add(yes(job.wholeCar()));
            cells.add("" + job.estimate().low().value());
            cells.add("" + job.estimate().likely().value());
            cells.add("" + job.estimate().high().value());
            cells.add(job.crew().stream()
                    .map(c -> c.skill() + ":" + word(c.least()))
                    .collect(Collectors.joining(" + ")));
            cells.add(job.stationKind().orElse(""));
            cells.add(yes(job.oneGo()));
            cells.add(job.cure().isZero() ? "" : "" + job.cure().toMinutes() / 60.0);
            cells.add(word(job.cureLock()));
            cells.add(word(job.gate()));
            cells.add(yes(job.essential()));
            cells.add(links.stream()
                    .filter(l -> l.then().equals(job.id()) && refs.containsKey(l.first()))
                    .map(l -> after(l, refs.get(l.first())))
                    .collect(Collectors.joining("; ")));
            cells.add(notes.getOrDefault(job.id().value(), ""));
            out.append(format.format(cells.stream().map(CsvFile::guarded).toArray()))
                    .append("\r\n");
        }
        return out.toString();
    }

    private static String after(Link link, String ref) {
        String type =
                switch (link.type()) {
                    case FINISH_START -> "";
                    case START_START -> " SS";
                    case FINISH_FINISH -> " FF";
                };
        long lag = link.lag().minutes().value();
        String wait = lag == 0 ? "" : " +" + lag + "m" + (link.lag().working() ? "w" : "");
        String risk = link.risk()
                .map(r -> " risk " + Math.round(r.chance() * 100) + "% "
                        + r.rework().value() + "m")
                .orElse("");
        return ref + type + wait + risk;
    }

    private static String yes(boolean value) {
        return value ? "yes" : "no";
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
