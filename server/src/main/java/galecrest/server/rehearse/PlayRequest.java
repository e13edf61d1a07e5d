package galecrest.server.rehearse;

import java.util.List;

/**
 * Plays on from a turn.
 *
 * @param choices the ids of what is decided at it; none to let it go on
 */
record PlayRequest(int turn, List<String> choices) {}
