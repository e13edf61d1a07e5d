package galecrest.core.shop;

/**
 * Something wrong with what was entered, in the user's words.
 *
 * @param field the field or place that it concerns, as the interface names it
 * @param message what is wrong, with the value, the rule and a hint
 */
public record Problem(String field, String message) {}
