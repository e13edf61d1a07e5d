/**
 * The firms that do work for the shop: what they offer and when, how they keep their word, what is checked before work leaves
 * and when it comes back. Begin with {@link galecrest.core.vendor.Vendor}.
 */
@NullMarked
package galecrest.core.vendor;

import org.jspecify.annotations.NullMarked;
