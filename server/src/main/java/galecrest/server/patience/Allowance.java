package galecrest.server.patience;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;

/**
 * So much for each in so much time. Of those who come most are forgotten first who came first, so that many make it no
 * larger; it is one instance's own.
 */
final class Allowance {
    private static final int MOST_KEYS = 20_000;

    private final int most;
    private final long nanos;
    private final LongSupplier time;
    private final Map<String, Taken> taken = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Taken> eldest) {
            return size() > MOST_KEYS;
        }
    };

    private record Taken(int times, long since) {}

    /**
     * @param most so many times
     * @param seconds in so many seconds from the first time
     * @param time nanoseconds of any clock that only goes on
     */
    Allowance(int most, int seconds, LongSupplier time) {
        this.most = most;
        this.nanos = TimeUnit.SECONDS.toNanos(seconds);
        this.time = time;
    }

    /** Takes one; 0 where there was one left, else after how many seconds there will be, at least 1. */
    synchronized long take(String key) {
        long now = time.getAsLong();
        Taken before = taken.get(key);
        if (before == null || now - before.since() >= nanos) {
            taken.remove(key);
            taken.put(key, new Taken(1, now));
            return 0;
        }
        if (before.times() >= most) {
            return TimeUnit.NANOSECONDS.toSeconds(nanos - (now - before.since())) + 1;
        }
        taken.put(key, new Taken(before.times() + 1, before.since()));
        return 0;
    }

    /** Whether any is taken just now. */
    synchronized boolean has(String key) {
        Taken before = taken.get(key);
        return before != null && time.getAsLong() - before.since() < nanos;
    }

    /** It was not needed after all. */
    synchronized void giveBack(String key) {
        taken.computeIfPresent(key, (k, t) -> t.times() <= 1 ? null : new Taken(t.times() - 1, t.since()));
    }
}
