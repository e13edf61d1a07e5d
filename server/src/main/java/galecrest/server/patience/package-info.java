/** How long and how much of a request the server waits for, so that those who dawdle do not keep others out. */
@NullMarked
package galecrest.server.patience;

import org.jspecify.annotations.NullMarked;
