package galecrest.server.dyno;

import galecrest.core.dyno.PowerRun;
import galecrest.core.dyno.RunReader;
import galecrest.core.dyno.RunTable;
import galecrest.server.csv.RunText;
import galecrest.server.problem.NotFoundException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Runs as they were read from their files. Files never change, so that what was read of one is kept in memory as long as there
 * is room; nobody waits for it twice.
 */
@Component
public class RunStore {
    /** About 32 MB of samples. */
    private static final long MOST_NUMBERS = 4_000_000;

    private final DynoRepository record;
    private final Map<String, PowerRun> read = new LinkedHashMap<>(16, 0.75f, true);
    private long numbers;

    RunStore(DynoRepository record) {
        this.record = record;
    }

    /** The samples of a run. */
    public PowerRun samples(DynoRepository.Run run) {
        String key = key(run.fileId(), run.columns());
        synchronized (read) {
            PowerRun there = read.get(key);
            if (there != null) {
                return there;
            }
        }
        PowerRun samples = look(table(run.fileId()), run.columns()).run();
        keep(key, samples);
        return samples;
    }

    /** Keeps what was read when a file was taken: whoever compares it next does not wait for it. */
    void remember(String file, List<ColumnForm> columns, PowerRun samples) {
        keep(key(file, columns), samples);
    }

    private static String key(String file, List<ColumnForm> columns) {
        return file + columns;
    }

    RunTable table(String file) {
        return RunText.table(record.file(file)
                .orElseThrow(() -> new NotFoundException("run file"))
                .content());
    }

    static RunReader.Read look(RunTable table, List<ColumnForm> columns) {
        return RunReader.read(table, ColumnForm.map(columns));
    }

    private void keep(String key, PowerRun samples) {
        synchronized (read) {
            if (read.put(key, samples) == null) {
                numbers += size(samples);
            }
            var oldest = read.entrySet().iterator();
            while (numbers > MOST_NUMBERS && read.size() > 1) {
                numbers -= size(oldest.next().getValue());
                oldest.remove();
            }
        }
    }

    private static long size(PowerRun run) {
        return (long) run.size() * run.channels().size();
    }
}
