/** Long work: odds, rescue, promises and harder thinking, queued in the database and done by whichever instance is free. */
@NullMarked
package galecrest.server.background;

import org.jspecify.annotations.NullMarked;
