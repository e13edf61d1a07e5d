package galecrest.server.vendor;

import java.time.LocalDate;

record VendorClosure(LocalDate from, LocalDate to, String reason) {}
