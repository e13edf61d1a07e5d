package galecrest.server.people;

import java.time.LocalTime;

/** Hours on a weekday, 1 for Monday; an end of 00:00 is midnight at the day's end. */
record HoursRequest(int day, LocalTime start, LocalTime end) {}
