/** What people were told, as calendars that phones subscribe to, and as a table. */
@NullMarked
package galecrest.server.calendar;

import org.jspecify.annotations.NullMarked;
