package galecrest.core.audit;

/**
 * A rule that a plan breaks.
 *
 * @param rule the rule, in a word or two
 * @param detail what breaks it
 */
public record Violation(String rule, String detail) {}
