/** Errands: collecting, delivering and buying, by somebody, with a vehicle, by a time. */
@NullMarked
package galecrest.server.errand;

import org.jspecify.annotations.NullMarked;
