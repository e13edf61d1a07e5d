/** House rules before they are kept: what they would do, and some to begin from. */
@NullMarked
package galecrest.server.rules;

import org.jspecify.annotations.NullMarked;
