package galecrest.server.receiving;

import galecrest.core.parts.PartState;
import galecrest.server.mate.MateView;
import java.util.List;

record ArrivalResponse(
        String id,
        String buildId,
        String name,
        PartState state,
        int quantity,
        int received,
        String vendor,
        String specification,
        List<MateView> mates) {}
