/** Work as entered at a desk and as hands say how it goes; what comes before what, and pins. */
@NullMarked
package galecrest.server.work;

import org.jspecify.annotations.NullMarked;
