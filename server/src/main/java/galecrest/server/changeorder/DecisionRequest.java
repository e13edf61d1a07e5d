package galecrest.server.changeorder;

import jakarta.validation.constraints.NotBlank;

record DecisionRequest(
        boolean accept,

        @NotBlank(message = "How did the customer say so? A word for the record.")
        String note) {}
