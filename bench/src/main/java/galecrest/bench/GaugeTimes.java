package galecrest.bench;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.device.standin.RollingRoadModel;
import galecrest.core.dyno.ColumnMap;
import galecrest.core.dyno.RunComparison;
import galecrest.core.dyno.RunReader;
import galecrest.core.dyno.RunTable;
import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.all.Gauges;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How long each gauge takes in process for its example of docs/gauges.md: the first answer, and then many. */
final class GaugeTimes {
    private static final Pattern EXAMPLE = Pattern.compile("## ([a-z-]+)\n.*?```json\n(.*?)```", Pattern.DOTALL);
    private static final int RUNS = 500;
    private static final int COMPARED = 20;

    private GaugeTimes() {}

    static int run(Path docs) throws IOException {
        Matcher examples = EXAMPLE.matcher(Files.readString(docs));
        List<String> rows = new ArrayList<>();
        while (examples.find()) {
            Gauge gauge = Gauges.named(examples.group(1)).orElseThrow();
            Map<String, Object> asked =
                    new ObjectMapper().readValue(examples.group(2), new TypeReference<Map<String, Object>>() {});
            double first = once(gauge, asked);
            double[] times = new double[RUNS];
            for (int i = 0; i < RUNS; i++) {
                times[i] = once(gauge, asked);
            }
            Arrays.sort(times);
            rows.add(String.format(
                    Locale.ROOT,
                    "gauge=%s first-ms=%.1f median-ms=%.3f p99-ms=%.3f",
                    gauge.name(),
                    first,
                    times[RUNS / 2],
                    times[RUNS * 99 / 100]));
        }
        rows.forEach(System.out::println);
        System.out.println(compared());
        return 0;
    }

    /** Twenty runs of nine seconds at a hundred samples a second, compared by bin and over the range. */
    private static String compared() {
        RollingRoadModel road = new RollingRoadModel(new RollingRoadModel.Engine(205, 0.004, 0.004, 0, 0.9), 1);
        List<RunComparison.Driven> runs = new ArrayList<>();
        for (int i = 0; i < COMPARED; i++) {
            List<String[]> rows = Arrays.stream(road.file(RollingRoadModel.Sweep.with(i < COMPARED / 2 ? 0 : 3))
                            .split("\n"))
                    .map(l -> l.split(","))
                    .toList();
            RunTable table = new RunTable(List.of(rows.get(0)), rows.subList(1, rows.size()), 2, false, List.of());
            runs.add(new RunComparison.Driven(
                    RunReader.read(table, ColumnMap.guess(table)).run(), 1, i + 1));
        }
        Times times = Times.of(
                20,
                100,
                round -> RunComparison.of(
                        runs.subList(0, COMPARED / 2),
                        runs.subList(COMPARED / 2, COMPARED),
                        50,
                        120,
                        0.95,
                        1,
                        Double.NaN));
        return String.format(
                Locale.ROOT, "compare runs=%d median-ms=%.2f p95-ms=%.2f", COMPARED, times.median(), times.p95());
    }

    private static double once(Gauge gauge, Map<String, Object> asked) {
        long began = System.nanoTime();
        gauge.answer(GaugeRequest.of(asked));
        return (System.nanoTime() - began) / 1e6;
    }
}
