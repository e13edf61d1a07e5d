/** What holds and what is cut. */
@NullMarked
package galecrest.core.gauge.fabrication;

import org.jspecify.annotations.NullMarked;
