package galecrest.server.json;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.JsonMappingException;

/** A text or number of a request that nothing here can be, with the reason in the user's words. */
public final class UnfitValue extends JsonMappingException {
    private static final long serialVersionUID = 1;

    UnfitValue(JsonParser parser, String message) {
        super(parser, message);
    }
}
