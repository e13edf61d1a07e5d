/** The car's sheet on paper and as a table, the car's log, and the limits of classes. Begin with {@code PaperService}. */
@NullMarked
package galecrest.server.carsheet;

import org.jspecify.annotations.NullMarked;
