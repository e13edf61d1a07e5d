/** Long thinking in the background: harder search, odds, rescue; queued in the database, shared by all instances. */
@NullMarked
package galecrest.server.thinking;

import org.jspecify.annotations.NullMarked;
