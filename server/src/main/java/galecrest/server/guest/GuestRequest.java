package galecrest.server.guest;

import jakarta.validation.constraints.NotBlank;
import java.time.Instant;

/**
 * Somebody from outside does a job at our place.
 *
 * @param from when they come; they go at {@code to} of the same day
 * @param ourStation whether they need one of our stations for it
 */
record GuestRequest(@NotBlank(message = "Who comes?") String name, Instant from, Instant to, boolean ourStation) {}
