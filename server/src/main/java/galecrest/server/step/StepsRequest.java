package galecrest.server.step;

import java.util.List;

/**
 * The steps, as they are to be; wholly.
 *
 * @param edition of what was looked at when they were changed
 */
record StepsRequest(String edition, List<StepRequest> steps) {}
