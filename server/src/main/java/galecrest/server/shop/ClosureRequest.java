package galecrest.server.shop;

import java.time.LocalDate;

record ClosureRequest(LocalDate from, LocalDate to, String reason) {}
