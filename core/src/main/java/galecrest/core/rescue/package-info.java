/** What would win a date back: the moves that a shop really has, each tried. */
@NullMarked
package galecrest.core.rescue;

import org.jspecify.annotations.NullMarked;
