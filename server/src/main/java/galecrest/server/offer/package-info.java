/**
 * Better plans on offer: what long thinking came to, told in words, taken, kept for later or dismissed by the manager.
 * Begin at {@link galecrest.server.offer.OfferService}.
 */
@NullMarked
package galecrest.server.offer;

import org.jspecify.annotations.NullMarked;
