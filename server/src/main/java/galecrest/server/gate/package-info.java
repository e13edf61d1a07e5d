/** What gates ask of each car, names under their lines, and who passed them. Begin with {@code GateService}. */
@NullMarked
package galecrest.server.gate;

import org.jspecify.annotations.NullMarked;
