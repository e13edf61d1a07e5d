package galecrest.server.season;

/** The house rule for long stretches; see {@link galecrest.core.season.StretchRule}. */
record StretchRuleRequest(int mostDays, int mostNights, int mostHours, int eventHours) {}
