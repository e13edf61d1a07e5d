package galecrest.server.background;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.json.CoreJson;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The newest odds that are ready; read once, then kept. */
@Service
public class OddsService {
    /** How often a plan is replayed for its odds. */
    public static final int TRIALS = 1000;

    /** Plans are compared under the same luck. */
    public static final long LUCK = 1;

    private final ThoughtRepository queue;
    private final ObjectMapper core = CoreJson.mapper();
    private @Nullable Known known;
    private @Nullable Known knownTold;

    OddsService(ThoughtRepository queue) {
        this.queue = queue;
    }

    private record Known(String id, OddsView view) {}

    /** The odds and the harms of the newest record for which they are reckoned; they may be of an older one. */
    public Optional<OddsView> latest() {
        return of(false);
    }

    /** The newest odds of what people have been told: nothing of a draft is in them. */
    public Optional<OddsView> told() {
        return of(true);
    }

    private synchronized Optional<OddsView> of(boolean told) {
        Optional<String> id = queue.oddsId(told);
        Known last = told ? knownTold : known;
        if (id.isPresent() && (last == null || !last.id().equals(id.get()))) {
            last = queue.find(id.get()).map(t -> new Known(t.id(), read(t))).orElse(null);
            if (told) {
                knownTold = last;
            } else {
                known = last;
            }
        }
        return id.isEmpty() ? Optional.empty() : Optional.ofNullable(last).map(Known::view);
    }

    private OddsView read(Thought thought) {
        try {
            return core.treeToValue(thought.result(), OddsView.class);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The odds cannot be read.", e);
        }
    }
}
