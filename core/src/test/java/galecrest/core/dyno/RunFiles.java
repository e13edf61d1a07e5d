package galecrest.core.dyno;

import galecrest.core.device.standin.RollingRoadModel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Tables of run files as a plain reader makes them, for tests. */
final class RunFiles {
    /** Neighbouring seeds begin alike; spread, they do not (Knuth's multiplier of MMIX). */
    private static final long SPREAD = 6364136223846793005L;

    private RunFiles() {}

    static RunTable table(String file) {
        String[] lines = file.split("\n");
        String part = lines[0].contains(";") ? ";" : ",";
        List<String[]> rows = new ArrayList<>();
        Arrays.stream(lines).skip(1).forEach(l -> rows.add(l.split(part, -1)));
        return new RunTable(List.of(lines[0].split(part, -1)), rows, 2, part.equals(";"), List.of());
    }

    static PowerRun run(String file) {
        RunTable table = table(file);
        RunReader.Read read = RunReader.read(table, ColumnMap.guess(table));
        if (!read.problems().isEmpty()) {
            throw new AssertionError(read.problems());
        }
        return read.run();
    }

    static RollingRoadModel road(double scatter, double soak, long seed) {
        return new RollingRoadModel(new RollingRoadModel.Engine(205, scatter, 0.004, soak, 0.91), seed * SPREAD);
    }
}
