package galecrest.server.parcel;

import java.time.Instant;

/**
 * A part that is on its way with a number.
 *
 * @param lastWord what the carrier said of it last; what people have said since stands
 */
record ParcelRow(String id, String name, String tracking, Instant shipped, Instant promised, String lastWord) {}
