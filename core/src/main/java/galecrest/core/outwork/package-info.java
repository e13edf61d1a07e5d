/** The firms that do work for the shop. */
@NullMarked
package galecrest.core.outwork;

import org.jspecify.annotations.NullMarked;
