package galecrest.server.sheet;

import galecrest.core.plan.ShopSnapshot;
import galecrest.core.sheet.JobSheet;
import galecrest.core.shop.Problem;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.csv.CsvTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Job sheets as CSV files (RFC 4180), in UTF-8, with commas or semicolons. */
final class JobSheetCsv {
    private JobSheetCsv() {}

    static JobSheet.Read read(byte[] file, JobSheet.Known known) {
        try {
            CsvTable.Read table = CsvTable.read(file, JobSheet.MOST_ROWS);
            return JobSheet.read(table.header(), table.rows(), known);
        } catch (CsvTable.Unreadable wrong) {
            return new JobSheet.Read(List.of(), List.of(new Problem("file", wrong.getMessage())));
        }
    }

    static String write(
            List<Work> works,
            ShopSnapshot shop,
            Map<WorkId, String> refs,
            Map<String, String> reasons,
            Map<String, String> stages,
            Map<String, String> notes,
            Map<String, Set<String>> disturbs) {
        StringBuilder out = new StringBuilder();
        out.append(CsvTable.line(JobSheet.COLUMNS.stream()));
        for (Work work : works) {
            List<String> cells = new ArrayList<>();
            cells.add(refs.get(work.id()));
            cells.add(stages.getOrDefault(work.id().value(), ""));
            cells.add(work.name());
            cells.addAll(work instanceof Job job ? job(job) : outside((Outwork) work));
            cells.add(word(work.gate()));
            cells.add(yes(work.essential()));
            Optional<Findings> found = work instanceof Job job ? job.findings() : Optional.empty();
            cells.add(found.map(f -> "" + Math.round(100 * f.chance())).orElse(""));
            cells.add(found.map(f -> "" + f.work().value()).orElse(""));
            cells.add(shop.links().stream()
                    .filter(l -> l.then().equals(work.id()) && refs.containsKey(l.first()))
                    .map(l -> after(l, refs.get(l.first())) + because(reasons.get(l.id().value())))
                    .collect(Collectors.joining("; ")));
            cells.add(notes.getOrDefault(work.id().value(), ""));
            cells.add(work instanceof Outwork outwork ? days(shop, outwork) : "");
            cells.add(disturbs(disturbs.get(work.id().value())));
            out.append(CsvTable.line(cells.stream()));
        }
        return out.toString();
    }

    private static String disturbs(@Nullable Set<String> kinds) {
        return kinds == null
                ? ""
                : kinds.isEmpty() ? JobSheet.NOTHING : kinds.stream().sorted().collect(Collectors.joining("; "));
    }

    private static List<String> job(Job job) {
        return List.of(
                word(job.zone()),
                yes(job.onCar()),
                yes(job.wholeCar()),
                "" + job.estimate().low().value(),
                "" + job.estimate().likely().value(),
                "" + job.estimate().high().value(),
                job.crew().stream().map(c -> c.skill() + ":" + word(c.least())).collect(Collectors.joining(" + ")),
                job.stationKind().orElse(""),
                yes(job.oneGo()),
                job.cure().isZero() ? "" : "" + job.cure().toMinutes() / 60.0,
                word(job.cureLock()));
    }

    /** Of work outside only whether it takes the car, and the time to inspect it. */
    private static List<String> outside(Outwork outwork) {
        String inspection = "" + outwork.inspection().value();
        return List.of("", "", yes(outwork.wholeCar()), "", inspection, "", "", "", "", "", "");
    }

    private static String days(ShopSnapshot shop, Outwork outwork) {
        String trade = shop.vendor(outwork.vendor())
                .map(v -> v.trade().replace(':', ' ').strip())
                .orElse("");
        Outwork.Turnaround days = outwork.turnaround();
        return (trade.isBlank() ? "outside" : trade) + ": " + days.low() + "-" + days.likely() + "-" + days.high();
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
