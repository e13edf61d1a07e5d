package galecrest.server.trackday;

import galecrest.core.gauge.track.LapTime;
import galecrest.core.shop.Problem;
import galecrest.server.access.AnyHand;
import galecrest.server.csv.SheetReader;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;

/** Lap times as a table, a row a lap: for the lap gauge, and onto the run sheets of a test day. */
@Service
class LapTableService {
    private static final List<String> COLUMNS = List.of("run", "time", "set", "changed", "conditions", "track");
    private static final List<String> CONDITIONS = List.of("", "dry", "damp", "wet");
    private static final Pattern NUMBERED = Pattern.compile("(?:run\\s*)?(\\d{1,3})", Pattern.CASE_INSENSITIVE);

    private final TestDayRepository record;
    private final Journal journal;
    private final Clock clock;

    LapTableService(TestDayRepository record, Journal journal, Clock clock) {
        this.record = record;
        this.journal = journal;
        this.clock = clock;
    }

    private record Lap(String run, String time, String set, String changed, String conditions, String track) {}

    /** The runs of a table, in the order in which they first come. */
    @AnyHand
    LapTableResponse read(byte[] file) {
        return new LapTableResponse(List.copyOf(runs(file).values()));
    }

    private static Map<String, LapTableResponse.LapRunResponse> runs(byte[] file) {
        SheetReader.Read<Lap> read = SheetReader.read(
                file,
                COLUMNS,
                cells -> new Lap(
                        cells.text("run"),
                        cells.text("time"),
                        cells.text("set"),
                        cells.text("changed"),
                        cells.text("conditions").toLowerCase(Locale.ROOT),
                        cells.text("track")),
                LapTableService::check);
        ValidationException.throwIfAny(read.problems());
        if (read.rows().isEmpty()) {
            throw new ValidationException("file", "There is no lap in it.");
        }
        Map<String, LapTableResponse.LapRunResponse> runs = new LinkedHashMap<>();
        for (SheetReader.Row<Lap> row : read.rows()) {
            Lap lap = row.form();
            runs.merge(
                    lap.run(),
                    new LapTableResponse.LapRunResponse(
                            lap.run(), lap.time(), lap.set(), lap.changed(), lap.conditions(), lap.track()),
                    LapTableService::with);
        }
        return runs;
    }

    private static LapTableResponse.LapRunResponse with(
            LapTableResponse.LapRunResponse run, LapTableResponse.LapRunResponse lap) {
        return new LapTableResponse.LapRunResponse(
                run.run(),
                run.laps() + " " + lap.laps(),
                first(run.set(), lap.set()),
                first(run.changed(), lap.changed()),
                first(run.conditions(), lap.conditions()),
                first(run.track(), lap.track()));
    }

    private static String first(String said, String otherwise) {
        return said.isEmpty() ? otherwise : said;
    }

    private static List<Problem> check(Lap lap) {
        List<Problem> problems = new ArrayList<>();
        if (lap.run().isEmpty()) {
            problems.add(new Problem("run", "Which run is it of?"));
        }
        try {
            LapTime.read(lap.time());
        } catch (IllegalArgumentException wrong) {
            problems.add(new Problem("time", String.valueOf(wrong.getMessage())));
        }
        if (!CONDITIONS.contains(lap.conditions())) {
            problems.add(new Problem("conditions", "dry, damp or wet."));
        }
        return problems;
    }

    /** Puts the laps of a table on the run sheets of a car, by the runs' numbers; returns how many runs these were. */
    @AnyHand
    int takeIn(String event, String build, byte[] file) {
        Map<String, LapTableResponse.LapRunResponse> table = runs(file);
        journal.judge(() -> {
            List<TestDayResponse.TestRunResponse> runs = record.runs(event, build);
            table.forEach((named, laps) -> {
                Matcher number = NUMBERED.matcher(named);
                int nth = number.matches() ? Integer.parseInt(number.group(1)) : 0;
                if (nth < 1 || nth > runs.size()) {
                    throw new ValidationException("run", "There is no run \"" + named + "\" on this test day.");
                }
                record.drove(runs.get(nth - 1).id(), laps, clock.instant());
            });
            return "took in the laps of " + table.size() + " runs";
        });
        return table.size();
    }
}
