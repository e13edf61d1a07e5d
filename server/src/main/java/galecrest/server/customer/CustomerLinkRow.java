package galecrest.server.customer;

/** What an open link shows. */
record CustomerLinkRow(String buildId, boolean money) {}
