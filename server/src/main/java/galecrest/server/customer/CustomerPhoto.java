package galecrest.server.customer;

import java.time.Instant;

record CustomerPhoto(String id, String caption, Instant at, int width, int height) {}
