package galecrest.server.background;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

record HarderRequest(
        @Min(value = 1, message = SECONDS) @Max(value = 3600, message = SECONDS)
        int seconds) {
    private static final String SECONDS = "Between 1 and 3600 seconds.";
}
