package galecrest.server.sheet;

import galecrest.core.sheet.JobSheet;
import galecrest.core.shop.Problem;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.WorkId;
import galecrest.server.csv.CsvTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Job sheets as CSV files (RFC 4180), in UTF-8, with commas or semicolons. */
final class JobSheetCsv {
    private JobSheetCsv() {}

    static JobSheet.Read read(byte[] file, Set<String> skills, Set<String> stations) {
        try {
            CsvTable.Read table = CsvTable.read(file, JobSheet.MOST_ROWS);
            return JobSheet.read(table.header(), table.rows(), skills, stations);
        } catch (CsvTable.Unreadable wrong) {
            return new JobSheet.Read(List.of(), List.of(new Problem("file", wrong.getMessage())));
        }
    }

    static String write(
            List<Job> jobs,
            Map<WorkId, String> refs,
            List<Link> links,
            Map<String, String> reasons,
            Map<String, String> stages,
            Map<String, String> notes) {
        StringBuilder out = new StringBuilder();
        out.append(CsvTable.line(JobSheet.COLUMNS.stream()));
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
            cells.add(job.findings().map(f -> "" + Math.round(100 * f.chance())).orElse(""));
            cells.add(job.findings().map(f -> "" + f.work().value()).orElse(""));
            cells.add(links.stream()
                    .filter(l -> l.then().equals(job.id()) && refs.containsKey(l.first()))
                    .map(l -> after(l, refs.get(l.first())) + because(reasons.get(l.id().value())))
                    .collect(Collectors.joining("; ")));
            cells.add(notes.getOrDefault(job.id().value(), ""));
            out.append(CsvTable.line(cells.stream()));
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

    /** A reason as it can be read again: a semicolon would begin the next link. */
    private static String because(@Nullable String reason) {
        return reason == null ? "" : ": " + reason.replace(';', ',');
    }

    private static String yes(boolean value) {
        return value ? "yes" : "no";
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
