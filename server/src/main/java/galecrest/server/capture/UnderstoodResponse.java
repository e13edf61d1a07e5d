package galecrest.server.capture;

import java.util.List;

/**
 * What a line would be taken as.
 *
 * @param said in words; where several could be meant, the question
 * @param clear whether Enter would write it down
 * @param choices what could be meant
 */
record UnderstoodResponse(String said, boolean clear, List<Choice> choices) {
    record Choice(String id, String name) {}
}
