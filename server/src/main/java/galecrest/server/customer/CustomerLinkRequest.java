package galecrest.server.customer;

record CustomerLinkRequest(int days, boolean money) {}
