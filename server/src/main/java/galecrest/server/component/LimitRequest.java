package galecrest.server.component;

import galecrest.core.component.Counter;

/** How much a component may be used; see {@link galecrest.core.component.LifeLimit}. */
record LimitRequest(Counter counter, double most, boolean service) {}
