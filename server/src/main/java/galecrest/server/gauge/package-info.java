/** The gauges over HTTP and in the shell. */
@NullMarked
package galecrest.server.gauge;

import org.jspecify.annotations.NullMarked;
