package galecrest.server.mate;

import galecrest.core.mate.MateKind;
import jakarta.validation.constraints.NotBlank;

public record MateRequest(
        @NotBlank(message = "Say where the two meet.") String place, MateKind kind, String carSide, String partSide) {}
