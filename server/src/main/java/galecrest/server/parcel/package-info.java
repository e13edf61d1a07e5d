/** Parcels on their way, as carriers tell of them. */
@NullMarked
package galecrest.server.parcel;

import org.jspecify.annotations.NullMarked;
