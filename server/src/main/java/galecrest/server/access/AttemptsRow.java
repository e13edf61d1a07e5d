package galecrest.server.access;

import java.time.Instant;

/**
 * How often somebody has tried without success.
 *
 * @param here with this name from this address, this time included
 * @param since when the last of these was that still counted
 * @param address with any name from this address
 * @param account with this name from anywhere
 */
record AttemptsRow(int here, Instant since, int address, int account) {}
