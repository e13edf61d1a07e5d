package galecrest.server.dyno;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A file that was read and not yet taken as a run.
 *
 * @param samples how many lines of numbers it has
 * @param rows the first of them
 * @param columns what each holds: as it was said of that road before, or as the names tell
 * @param dyno the road whose files have just these columns; null where none is known
 * @param notices what was taken for granted
 */
public record RunFileResponse(
        String id,
        String name,
        List<String> header,
        List<List<String>> rows,
        int samples,
        List<ColumnForm> columns,
        @Nullable String dyno,
        List<String> notices) {}
