package galecrest.server.snapshot;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.SnapshotValidator;
import galecrest.core.shop.Problem;
import galecrest.server.access.ManagerOnly;
import galecrest.server.background.OddsService;
import galecrest.server.journal.Journal;
import galecrest.server.json.CoreJson;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import java.io.IOException;
import java.time.DateTimeException;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/** The shop as a snapshot: out as JSON, in from JSON into an empty shop, whole or not at all. */
@Service
@ManagerOnly
class SnapshotService {
    private static final int MOST_PROBLEMS = 50;
    /** Twice what a shop writes down in years; more is not looked at line by line. */
    private static final int MOST_LINES = 50_000;

    /** The table in what the database says that it refuses. */
    private static final Pattern TABLE = Pattern.compile("(?:relation|table) \"(\\w+)\"");

    private final PlanService plans;
    private final SnapshotStore store;
    private final Journal journal;
    private final ObjectMapper json = CoreJson.mapper().enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES);
    private final JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(SnapshotService.class.getResourceAsStream("/shop-snapshot.schema.json"));

    SnapshotService(PlanService plans, SnapshotStore store, Journal journal) {
        this.plans = plans;
        this.store = store;
        this.journal = journal;
    }

    byte[] export() {
        try {
            PlanService.Current now = plans.current();
            return json.writeValueAsBytes(new SnapshotFile(
                            now.whole(),
                            Optional.of(new SnapshotFile.Replayed(now.from(), OddsService.TRIALS, OddsService.LUCK)))
                    .tree(json));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    void importInto(byte[] file) {
        mustBeEmpty();
        SnapshotFile snapshot = read(file);
        ShopSnapshot shop = snapshot.shop();
        ValidationException.throwIfAny(SnapshotValidator.problems(shop));
        journal.change("imported a snapshot", () -> {
            mustBeEmpty();
            save(shop);
            plans.takeOver(shop.published(), shop.taken(), snapshot.replay().flatMap(SnapshotFile.Replayed::guide));
        });
    }

    private void mustBeEmpty() {
        if (!store.isEmpty()) {
            throw new ValidationException(
                    "file", "There are builds or people already; a snapshot goes into an empty shop.");
        }
    }

    private void save(ShopSnapshot shop) {
        try {
            store.save(shop);
        } catch (DataIntegrityViolationException refused) {
            String message = String.valueOf(refused.getMostSpecificCause().getMessage());
            Matcher table = TABLE.matcher(message);
            String where = table.find() ? table.group(1).replace('_', ' ') : "record";
            throw new ValidationException(
                    "file",
                    "A value cannot be kept in the " + where + ": "
                            + message.lines().findFirst().orElse("").replaceFirst("^ERROR: ", ""));
        }
    }

    private SnapshotFile read(byte[] file) {
        JsonNode tree;
        try {
            tree = json.readTree(file);
        } catch (IOException e) {
            throw new ValidationException("file", "This is no JSON that can be read: " + e.getMessage());
        }
        if (tree == null || !tree.isObject()) {
            throw new ValidationException("file", "This is no snapshot.");
        }
        tree.properties().forEach(list -> {
            if (list.getValue().size() > MOST_LINES) {
                throw new ValidationException(
                        "file",
                        "There are " + list.getValue().size() + " lines of " + list.getKey() + "; at most " + MOST_LINES
                                + " are taken.");
            }
        });
        List<Problem> problems = schema.validate(tree).stream()
                .limit(MOST_PROBLEMS)
                .map(m -> new Problem(m.getInstanceLocation().toString(), m.getMessage()))
                .toList();
        ValidationException.throwIfAny(problems);
        try {
            return SnapshotFile.read(json, tree);
        } catch (JsonProcessingException | IllegalArgumentException | DateTimeException e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            throw new ValidationException("file", "A value cannot be taken: " + cause.getMessage());
        }
    }
}
