/** What the steps of a roll-out are: of a car, a discipline, the house. Begin with {@code RollOutStepService}. */
@NullMarked
package galecrest.server.step;

import org.jspecify.annotations.NullMarked;
