/** Heat: how warm a thing gets, and when. */
@NullMarked
package galecrest.core.gauge.heat;

import org.jspecify.annotations.NullMarked;
