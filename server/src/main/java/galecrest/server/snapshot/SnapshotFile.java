package galecrest.server.snapshot;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.WarmStart;
import galecrest.core.planner.Planner;
import galecrest.core.risk.RiskOptions;
import galecrest.core.shop.HouseRules;
import java.util.Optional;

/**
 * A shop snapshot as it is kept in a file: what the planner plans with, and what it takes to come to the very plan and the
 * very odds that the screens showed.
 *
 * @param replay absent in files that were written by hand
 */
public record SnapshotFile(ShopSnapshot shop, Optional<Replayed> replay) {
    private static final String REPLAY = "replay";

    /**
     * How the plan and its odds came about.
     *
     * @param guide what the search began from
     * @param trials of the odds
     * @param seed of the odds
     */
    public record Replayed(Optional<WarmStart> guide, int trials, long seed) {}

    /** The plan that was shown; that of a file without {@code replay} is begun from nothing. */
    public Plan plan() {
        return Planner.plan(shop, PlanOptions.interactive(shop).from(replay.flatMap(Replayed::guide)));
    }

    /** How its odds were drawn. */
    public RiskOptions luck(int threads) {
        return RiskOptions.of(
                replay.map(Replayed::trials).orElse(1000),
                replay.map(Replayed::seed).orElse(1L),
                threads);
    }

    /** The file as JSON. */
    JsonNode tree(ObjectMapper core) {
        ObjectNode tree = core.valueToTree(shop);
        replay.ifPresent(r -> tree.set(REPLAY, core.valueToTree(r)));
        return tree;
    }

    /**
     * Reads a file.
     *
     * @throws JsonProcessingException where it is not one
     */
    public static SnapshotFile read(ObjectMapper core, JsonNode tree) throws JsonProcessingException {
        ObjectNode shop = tree.deepCopy();
        JsonNode replay = shop.remove(REPLAY);
        // Rules that came later have their default in files of before.
        if (shop.path("rules") instanceof ObjectNode rules) {
            if (!rules.has("stayOn")) {
                rules.put("stayOn", HouseRules.defaults().stayOn().value());
            }
            if (!rules.has("says")) {
                rules.set("says", core.valueToTree(HouseRules.defaults().says()));
            }
        }
        return new SnapshotFile(
                core.treeToValue(shop, ShopSnapshot.class),
                replay == null ? Optional.empty() : Optional.of(core.treeToValue(replay, Replayed.class)));
    }
}
