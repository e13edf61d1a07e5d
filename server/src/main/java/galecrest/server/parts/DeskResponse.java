package galecrest.server.parts;

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
