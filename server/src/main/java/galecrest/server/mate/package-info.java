/** What is joined on a car, and whether it fits. */
@NullMarked
package galecrest.server.mate;

import org.jspecify.annotations.NullMarked;
