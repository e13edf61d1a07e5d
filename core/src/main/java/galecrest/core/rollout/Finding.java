package galecrest.core.rollout;

import java.util.Optional;

/**
 * What was found on the way.
 *
 * @param during the key of the step at which it was found
 * @param before the key of the step before which it must be put right; empty where it may stay until after all of them
 * @param fixed whether its job is done
 */
public record Finding(String id, String what, String during, Optional<String> before, boolean fixed) {}
