package galecrest.server.purchasing;

import galecrest.server.parts.KitView;
import galecrest.server.stock.ShelfView;
import galecrest.server.stock.SupplyResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The lines, the most harmful first; {@code harmOf} is the change of the record that the harm was reckoned for. */
record DeskResponse(
        List<DeskLine> lines,
        @Nullable Long harmOf,
        long change,
        List<SupplyResponse> supplies,
        List<ShelfView> shelf,
        List<KitView> kits) {}
