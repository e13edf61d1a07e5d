package galecrest.server.season;

import java.util.List;

/**
 * How far a spare car is from running.
 *
 * @param shares components that would be taken from the race car
 * @param minutes work that is open on it
 * @param parts what that waits for
 * @param said all of it in a sentence
 */
record SpareResponse(
        String buildId, boolean complete, List<String> shares, int minutes, List<String> parts, String said) {}
