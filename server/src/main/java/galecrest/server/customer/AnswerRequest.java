package galecrest.server.customer;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

record AnswerRequest(
        boolean accept,

        @NotBlank(message = NAME) @Size(max = 80, message = NAME)
        String name,

        String note) {
    private static final String NAME = "Please write your name, so that the shop knows who answered.";
}
