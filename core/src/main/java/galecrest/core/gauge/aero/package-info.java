/** What the air pushes at, and what it goes through. */
@NullMarked
package galecrest.core.gauge.aero;

import org.jspecify.annotations.NullMarked;
