package galecrest.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/**
 * A clock that begins at a moment that was said and goes so many times slower than the real one, so that what is compared
 * at the beginning and the end of a test, or by two instances, falls into the same five minutes.
 */
final class TestDay extends Clock {
    private final Clock real;
    private final Instant since;
    private final Instant start;
    private final int slower;

    /** Begins now, at {@code start}; {@code slower} is at least one. */
    TestDay(Clock real, Instant start, int slower) {
        this(real, real.instant(), start, slower);
    }

    private TestDay(Clock real, Instant since, Instant start, int slower) {
        this.real = real;
        this.since = since;
        this.start = start;
        this.slower = slower;
    }

    @Override
    public Instant instant() {
        return start.plus(Duration.between(since, real.instant()).dividedBy(slower));
    }

    @Override
    public ZoneId getZone() {
        return real.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new TestDay(real.withZone(zone), since, start, slower);
    }
}
