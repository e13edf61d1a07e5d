package galecrest.server.trace;

import galecrest.core.dyno.Channel;
import galecrest.core.dyno.ColumnMap;
import galecrest.core.dyno.RunTable;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.server.access.AnyHand;
import galecrest.server.csv.RunText;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Reads a logged temperature trace from a table: its time, and the first of its columns that is a temperature. */
@Service
class TraceService {
    /** More than that tell a fit no more. */
    private static final int MOST = 300;

    private static final double ZERO_CELSIUS = 273.15;

    private record Column(int at, String name, String unit) {}

    @AnyHand
    TraceTableResponse read(byte[] file) {
        RunTable table = RunText.table(file);
        Map<Channel, ColumnMap.Column> columns = ColumnMap.guess(table).columns();
        Column time = Optional.ofNullable(columns.get(Channel.TIME))
                .map(c -> new Column(table.header().indexOf(c.name()), c.name(), c.unit()))
                .orElse(new Column(0, table.header().get(0), "s"));
        Column warm = columns.entrySet().stream()
                .filter(e -> e.getKey().kind() == QuantityKind.TEMPERATURE)
                .map(e -> new Column(
                        table.header().indexOf(e.getValue().name()),
                        e.getValue().name(),
                        e.getValue().unit()))
                .findFirst()
                .orElse(new Column(time.at() == 0 ? 1 : 0, table.header().get(time.at() == 0 ? 1 : 0), "°C"));
        List<double[]> samples = new ArrayList<>();
        for (int row = 0; row < table.rows().size(); row++) {
            double t = si(table, row, time, QuantityKind.DURATION);
            double k = si(table, row, warm, QuantityKind.TEMPERATURE);
            if (Double.isFinite(t) && Double.isFinite(k)) {
                samples.add(new double[] {t, k});
            }
        }
        if (samples.isEmpty()) {
            throw new ValidationException(
                    "file",
                    "There are no times and temperatures in it that can be read: name its columns time (s) and"
                            + " temperature (°C).");
        }
        List<String> times = new ArrayList<>();
        List<String> temperatures = new ArrayList<>();
        int each = (samples.size() + MOST - 1) / MOST;
        for (int from = 0; from < samples.size(); from += each) {
            List<double[]> some = samples.subList(from, Math.min(samples.size(), from + each));
            times.add(said(some, 0, 0) + " s");
            temperatures.add(said(some, 1, ZERO_CELSIUS) + " °C");
        }
        return new TraceTableResponse(warm.name(), samples.size(), times, temperatures);
    }

    private static String said(List<double[]> some, int at, double less) {
        double mean = some.stream().mapToDouble(s -> s[at]).average().orElseThrow() - less;
        return String.format(Locale.ROOT, "%.3f", mean);
    }

    private static double si(RunTable table, int row, Column column, QuantityKind kind) {
        double number = table.number(table.cell(row, column.at()));
        return Double.isFinite(number)
                ? QuantityText.read(
                        kind, String.format(Locale.ROOT, "%.6f %s", number, column.unit()), k -> UnitSystem.METRIC)
                : Double.NaN;
    }
}
