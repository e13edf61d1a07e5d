package galecrest.server.round;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A round of work on a car.
 *
 * @param dateId the date that it is for
 * @param afterId the date after which it can begin; none where it can begin at once
 * @param template the list of work that it begins with; none for an empty round
 * @param lines what the car came back with, a job a line, as on the capture line
 */
public record RoundRequest(
        @NotBlank(message = NAME) @Size(max = 80, message = NAME)
        String name,

        @Nullable String dateId,
        @Nullable String afterId,
        @Nullable String template,

        @Nullable @Size(max = 60, message = "Not more than 60 lines at once.")
        List<String> lines,

        int version) {
    private static final String NAME = "A round needs a name of 1 to 80 characters, such as the event before it.";
}
