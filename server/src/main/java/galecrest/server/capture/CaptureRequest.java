package galecrest.server.capture;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** A line, and what was picked where it asked. */
record CaptureRequest(String text, @Nullable List<String> chosen) {
    List<String> picked() {
        return chosen == null ? List.of() : chosen;
    }
}
