/** Parts borrowed between cars, and what is owed. */
@NullMarked
package galecrest.server.loan;

import org.jspecify.annotations.NullMarked;
