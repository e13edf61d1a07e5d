package galecrest.server.work;

import galecrest.core.work.Link;
import org.jspecify.annotations.Nullable;

public record LinkRequest(
        String firstId,
        String thenId,
        Link.Type type,
        int lagMinutes,
        boolean lagWorking,
        @Nullable Double riskChance,
        @Nullable Integer riskReworkMinutes) {}
