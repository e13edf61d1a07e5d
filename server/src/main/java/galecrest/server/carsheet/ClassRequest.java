package galecrest.server.carsheet;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a class limits, wholly; nothing takes the class out. */
record ClassRequest(
        @NotBlank(message = "What is the class called?") @Size(max = 80, message = "At most {max} letters.")
        String name,

        @Nullable List<ClassLimit> limits) {}
