/** Tables that people keep in a spreadsheet, read with all that is wrong with them, and written. */
@NullMarked
package galecrest.server.csv;

import org.jspecify.annotations.NullMarked;
