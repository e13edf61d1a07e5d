package galecrest.core.dyno;

import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Reads a run from a table whose columns are known. */
public final class RunReader {
    /** Less than that is no run. */
    public static final int LEAST_SAMPLES = 20;
    /** A file in which more than that share of the lines cannot be read is refused. */
    private static final double MOST_UNREADABLE = 0.05;

    private RunReader() {}

    /**
     * A run, or what is wrong.
     *
     * @param run without samples where there are problems
     * @param problems at "columns", "columns.power", or "line 12"
     * @param notices what was passed over, in words
     */
    public record Read(PowerRun run, List<Problem> problems, List<String> notices) {}

    /** The run in the table. Lines that cannot be read are passed over and counted; too many of them are a problem. */
    public static Read read(RunTable table, ColumnMap map) {
        List<Problem> problems = new ArrayList<>();
        Map<Channel, Integer> at = new EnumMap<>(Channel.class);
        map.columns().forEach((channel, column) -> {
            int index = table.header().indexOf(column.name());
            if (index < 0) {
                problems.add(new Problem(
                        "columns." + channel.label(), "There is no column \"" + column.name() + "\" in this file."));
            } else if (!column.unit().isEmpty() && !channel.kind().isUnit(column.unit())) {
                problems.add(new Problem(
                        "columns." + channel.label(),
                        "\"" + column.unit() + "\" is no unit of "
                                + channel.kind().label() + "."));
            }
            at.put(channel, index);
        });
        if (!map.columns().containsKey(Channel.ENGINE_SPEED)) {
            problems.add(new Problem("columns.engine speed", "Say which column is the engine speed."));
        }
        if (!map.columns().containsKey(Channel.POWER) && !map.columns().containsKey(Channel.TORQUE)) {
            problems.add(new Problem("columns.power", "Say which column is the power, or the torque."));
        }
        if (!problems.isEmpty()) {
            return new Read(PowerRun.NONE, problems, table.notices());
        }
        return read(table, map, at);
    }

    private static Read read(RunTable table, ColumnMap map, Map<Channel, Integer> at) {
        int size = table.rows().size();
        Map<Channel, double[]> values = new EnumMap<>(Channel.class);
        boolean[] unreadable = new boolean[size];
        at.forEach((channel, column) -> {
            Scale scale = Scale.of(channel, map.columns().get(channel).unit());
            double[] all = new double[size];
            for (int row = 0; row < size; row++) {
                all[row] = value(table, table.cell(row, column), channel, scale);
                unreadable[row] |= !Double.isFinite(all[row]) && isNeeded(channel);
            }
            values.put(channel, all);
        });
        List<Problem> problems = new ArrayList<>();
        List<String> notices = new ArrayList<>(table.notices());
        int lost = count(unreadable);
        if (size - lost < LEAST_SAMPLES) {
            problems.add(new Problem(
                    "file",
                    size - lost == 0
                            ? "There is no sample in it that can be read."
                            : (size - lost) + (size - lost == 1 ? " sample is" : " samples are") + " no run; it takes "
                                    + LEAST_SAMPLES + "."));
        } else if (lost > MOST_UNREADABLE * size) {
            problems.add(new Problem(
                    "file",
                    lost + " of " + size + " lines cannot be read, the first of them line "
                            + (table.firstLine() + first(unreadable)) + ": is every column what you said?"));
        } else if (lost > 0) {
            notices.add(
                    lost + (lost == 1 ? " line" : " lines") + " without a number passed over, the first of them line "
                            + (table.firstLine() + first(unreadable)) + ".");
        }
        backwards(table, values, unreadable, problems);
        if (!problems.isEmpty()) {
            return new Read(PowerRun.NONE, problems, notices);
        }
        values.replaceAll((channel, all) -> kept(all, unreadable));
        return new Read(new PowerRun(values), problems, notices);
    }

    private static boolean isNeeded(Channel channel) {
        return channel == Channel.ENGINE_SPEED
                || channel == Channel.POWER
                || channel == Channel.TORQUE
                || channel == Channel.TIME;
    }

    /** How bare numbers become SI: by a line, since every unit is one (the temperatures have a constant). */
    private record Scale(double factor, double constant) {
        static Scale of(Channel channel, String unit) {
            double nought = QuantityText.read(channel.kind(), "0 " + unit, kind -> UnitSystem.METRIC);
            double one = QuantityText.read(channel.kind(), "1 " + unit, kind -> UnitSystem.METRIC);
            return new Scale(one - nought, nought);
        }
    }

    private static double value(RunTable table, String cell, Channel channel, Scale scale) {
        double number = table.number(cell);
        if (Double.isFinite(number)) {
            return number * scale.factor() + scale.constant();
        }
        // A cell that brings its own unit is read by it.
        if (cell.isEmpty() || !Character.isDigit(cell.charAt(0))) {
            return Double.NaN;
        }
        try {
            return QuantityText.read(channel.kind(), cell, kind -> UnitSystem.METRIC);
        } catch (QuantityText.Unreadable none) {
            return Double.NaN;
        }
    }

    private static void backwards(
            RunTable table, Map<Channel, double[]> values, boolean[] unreadable, List<Problem> problems) {
        double[] time = values.get(Channel.TIME);
        double before = Double.NEGATIVE_INFINITY;
        for (int i = 0; time != null && i < time.length; i++) {
            if (!unreadable[i]) {
                if (time[i] < before) {
                    problems.add(new Problem(
                            "line " + (table.firstLine() + i),
                            String.format(
                                    Locale.ROOT,
                                    "Time runs backwards: %.2f s comes after %.2f s. Is it two runs in one file?",
                                    time[i],
                                    before)));
                    return;
                }
                before = time[i];
            }
        }
    }

    private static int count(boolean[] flags) {
        int count = 0;
        for (boolean flag : flags) {
            count += flag ? 1 : 0;
        }
        return count;
    }

    private static int first(boolean[] flags) {
        int at = 0;
        while (!flags[at]) {
            at++;
        }
        return at;
    }

    private static double[] kept(double[] all, boolean[] unreadable) {
        double[] kept = new double[all.length];
        int count = 0;
        for (int i = 0; i < all.length; i++) {
            if (!unreadable[i]) {
                kept[count++] = all[i];
            }
        }
        return Arrays.copyOf(kept, count);
    }
}
