/** A week played through before it comes: on a copy of the shop, with luck drawn, and decided at each turn. */
@NullMarked
package galecrest.core.rehearse;

import org.jspecify.annotations.NullMarked;
