package galecrest.server.offer;

/**
 * When a better plan is taken without asking.
 *
 * @param gainHours it is worth at least so much, in weighted hours late at a promise
 * @param afterDays it changes nothing today and on so many days after
 */
record TakingRule(int gainHours, int afterDays) {}
