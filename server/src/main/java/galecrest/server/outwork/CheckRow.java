package galecrest.server.outwork;

import java.time.Instant;

record CheckRow(String side, String item, String answer, boolean done, String byName, Instant at) {}
