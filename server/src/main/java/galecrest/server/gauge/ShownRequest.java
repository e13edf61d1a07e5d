package galecrest.server.gauge;

/** Whether the customer is shown a sheet. */
record ShownRequest(boolean shown) {}
