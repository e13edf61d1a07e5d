package galecrest.server.work;

/** The job as its form would show it. */
public record JobRow(
        String name,
        String stage,
        String zone,
        int lowMinutes,
        int likelyMinutes,
        int highMinutes,
        String gate,
        boolean essential,
        String note) {}
