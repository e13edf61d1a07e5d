package galecrest.server.outwork;

import java.time.LocalDate;

record VendorClosure(LocalDate from, LocalDate to, String reason) {}
