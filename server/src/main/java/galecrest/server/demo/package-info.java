/** The demo shop. */
@NullMarked
package galecrest.server.demo;

import org.jspecify.annotations.NullMarked;
