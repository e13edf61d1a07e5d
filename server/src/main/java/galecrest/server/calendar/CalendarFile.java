package galecrest.server.calendar;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;

/** Writes iCalendar files (RFC 5545): times in UTC, lines folded at 75 octets. */
final class CalendarFile {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);
    private static final int MOST_OCTETS = 75;

    private CalendarFile() {}

    /** One entry. */
    record Entry(String uid, Instant from, Instant to, String summary, String location, String description) {}

    static String write(String name, Instant stamp, List<Entry> entries) {
        StringBuilder file = new StringBuilder();
        line(file, "BEGIN:VCALENDAR");
        line(file, "VERSION:2.0");
        line(file, "PRODID:-//Galecrest//Plan//EN");
        line(file, "X-WR-CALNAME:" + text(name));
        for (Entry entry : entries) {
            line(file, "BEGIN:VEVENT");
            line(file, "UID:" + entry.uid());
            line(file, "DTSTAMP:" + TIME.format(stamp));
            line(file, "DTSTART:" + TIME.format(entry.from()));
            line(file, "DTEND:" + TIME.format(entry.to()));
            line(file, "SUMMARY:" + text(entry.summary()));
            if (!entry.location().isEmpty()) {
                line(file, "LOCATION:" + text(entry.location()));
            }
            if (!entry.description().isEmpty()) {
                line(file, "DESCRIPTION:" + text(entry.description()));
            }
            line(file, "END:VEVENT");
        }
        line(file, "END:VCALENDAR");
        return file.toString();
    }

    /** A value of the type TEXT (section 3.3.11). */
    private static String text(String value) {
        return value.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\r\n", "\\n")
                .replace("\n", "\\n");
    }

    /** Adds a content line, folded (section 3.1) without breaking a character. */
    private static void line(StringBuilder file, String line) {
        int octets = 0;
        for (int i = 0; i < line.length(); ) {
            int point = line.codePointAt(i);
            String one = Character.toString(point);
            int size = one.getBytes(StandardCharsets.UTF_8).length;
            if (octets + size > MOST_OCTETS) {
                file.append("\r\n ");
                octets = 1;
            }
            file.append(one);
            octets += size;
            i += one.length();
        }
        file.append("\r\n");
    }
}
