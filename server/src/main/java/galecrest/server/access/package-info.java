/** Who may come in and do what. */
@NullMarked
package galecrest.server.access;

import org.jspecify.annotations.NullMarked;
