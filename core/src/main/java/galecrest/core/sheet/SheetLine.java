package galecrest.core.sheet;

import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A row of a job sheet that was understood.
 *
 * @param number its line in the file, the header being line 1
 * @param disturbs the kinds of work that it is and that disturb what was measured; absent where its words say so
 */
public record SheetLine(
        int number,
        String ref,
        String stage,
        JobSpec spec,
        String note,
        List<After> after,
        Optional<Outside> outside,
        Optional<Set<String>> disturbs) {
    /**
     * A link to another row of the sheet.
     *
     * @param because why that goes before it; empty where nobody says
     */
    public record After(String ref, Link.Type type, Link.Lag lag, Optional<Link.Risk> risk, String because) {}

    /** Work that another firm does, of which the job's own time is to inspect it when it is back. */
    public record Outside(String trade, Outwork.Turnaround days) {}

    /** A line that is done in the shop, and disturbs what its words say. */
    public SheetLine(int number, String ref, String stage, JobSpec spec, String note, List<After> after) {
        this(number, ref, stage, spec, note, after, Optional.empty(), Optional.empty());
    }

    /** The same line in another stage. */
    public SheetLine withStage(String other) {
        return new SheetLine(number, ref, other, spec, note, after, outside, disturbs);
    }

    /** The same line as another job. */
    public SheetLine withSpec(JobSpec other) {
        return new SheetLine(number, ref, stage, other, note, after, outside, disturbs);
    }

    /** The same line after others. */
    public SheetLine withAfter(List<After> other) {
        return new SheetLine(number, ref, stage, spec, note, other, outside, disturbs);
    }

    /** The lines that are done in the shop; what comes after work outside comes after what that follows. */
    public static List<SheetLine> inTheShop(List<SheetLine> lines) {
        Map<String, SheetLine> outside = new HashMap<>();
        lines.stream().filter(l -> l.outside().isPresent()).forEach(l -> outside.put(l.ref(), l));
        return lines.stream()
                .filter(l -> l.outside().isEmpty())
                .map(l -> l.withAfter(l.after().stream()
                        .flatMap(a ->
                                outside.containsKey(a.ref()) ? outside.get(a.ref()).after().stream() : Stream.of(a))
                        .toList()))
                .toList();
    }
}
