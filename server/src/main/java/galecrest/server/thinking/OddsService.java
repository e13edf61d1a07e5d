package galecrest.server.thinking;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.exchange.CoreJson;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The newest odds that are ready; read once, then kept. */
@Service
public class OddsService {
    private final ThoughtRepository queue;
    private final ObjectMapper core = CoreJson.mapper();
    private @Nullable Known known;

    OddsService(ThoughtRepository queue) {
        this.queue = queue;
    }

    private record Known(String id, OddsView view) {}

    /** The odds and the harms of the newest record for which they are reckoned; they may be of an older one. */
    public synchronized Optional<OddsView> latest() {
        Optional<String> id = queue.oddsId();
        if (id.isEmpty()) {
            return Optional.empty();
        }
        if (known == null || !known.id().equals(id.get())) {
            known = queue.find(id.get()).map(t -> new Known(t.id(), read(t))).orElse(null);
        }
        return Optional.ofNullable(known).map(Known::view);
    }

    private OddsView read(Thought thought) {
        try {
            return core.treeToValue(thought.result(), OddsView.class);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The odds cannot be read.", e);
        }
    }
}
