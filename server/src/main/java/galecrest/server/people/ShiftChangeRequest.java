package galecrest.server.people;

import galecrest.core.people.ShiftChange;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/** Leave or an extra shift; without hours it is the whole day. */
record ShiftChangeRequest(
        ShiftChange.Kind kind,
        LocalDate from,
        LocalDate to,
        @Nullable LocalTime start,
        @Nullable LocalTime end,
        String note) {}
