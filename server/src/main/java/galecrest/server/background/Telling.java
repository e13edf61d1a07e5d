package galecrest.server.background;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.json.CoreJson;
import org.jspecify.annotations.Nullable;

/** Reads what a thought has told so far. */
final class Telling {
    private static final ObjectMapper JSON = CoreJson.mapper();

    private Telling() {}

    static <T> @Nullable T as(@Nullable JsonNode told, Class<T> type) {
        try {
            return told == null ? null : JSON.treeToValue(told, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("A thought cannot be read.", e);
        }
    }
}
