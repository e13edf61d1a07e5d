/** Quantities as people say them. */
@NullMarked
package galecrest.core.units;

import org.jspecify.annotations.NullMarked;
