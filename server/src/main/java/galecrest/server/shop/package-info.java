/** The shop itself: name, house rules, stations. */
@NullMarked
package galecrest.server.shop;

import org.jspecify.annotations.NullMarked;
