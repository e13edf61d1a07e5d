/** Outside works as a table: read from CSV, written as CSV. */
@NullMarked
package galecrest.server.outwork.sheet;

import org.jspecify.annotations.NullMarked;
