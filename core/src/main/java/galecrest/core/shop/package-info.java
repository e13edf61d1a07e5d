/** The shop itself: stations, house rules and the problems that are reported to its people. */
@NullMarked
package galecrest.core.shop;

import org.jspecify.annotations.NullMarked;
