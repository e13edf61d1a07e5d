/** Accounts: who may come in, in which role; invitations, resets, and ending sessions. */
@NullMarked
package galecrest.server.account;

import org.jspecify.annotations.NullMarked;
