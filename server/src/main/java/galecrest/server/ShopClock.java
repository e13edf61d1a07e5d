package galecrest.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicReference;

/** The shop's own time: the real one, or so far ahead of it as the demo has been moved on. It never goes back. */
public final class ShopClock extends Clock {
    private final Clock base;
    private final AtomicReference<Duration> ahead;

    public ShopClock(Clock base) {
        this(base, new AtomicReference<>(Duration.ZERO));
    }

    private ShopClock(Clock base, AtomicReference<Duration> ahead) {
        this.base = base;
        this.ahead = ahead;
    }

    @Override
    public Instant instant() {
        return base.instant().plus(ahead.get());
    }

    /** How far it is ahead. */
    public Duration ahead() {
        return ahead.get();
    }

    /** So far ahead, unless it is farther already. */
    public void be(Duration far) {
        ahead.updateAndGet(there -> there.compareTo(far) > 0 ? there : far);
    }

    /** From here on it is that moment, unless it is later already. */
    public void moveTo(Instant moment) {
        be(Duration.between(base.instant(), moment));
    }

    @Override
    public ZoneId getZone() {
        return base.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new ShopClock(base.withZone(zone), ahead);
    }
}
