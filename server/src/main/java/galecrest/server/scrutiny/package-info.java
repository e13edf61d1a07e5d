/** Inspections of a car with their lines, and what to look at after an impact. Begin with {@code ScrutinyService}. */
@NullMarked
package galecrest.server.scrutiny;

import org.jspecify.annotations.NullMarked;
