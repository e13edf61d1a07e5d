package galecrest.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;

/** Lists that are asked for soon after they are wanted, but only once in so long, as the web client does. */
final class Lookups {
    private static final long SPREAD_MILLIS = 3_000;

    /** Asks for a list. */
    interface Ask {
        void of(String path) throws IOException, InterruptedException;
    }

    private final ExecutorService askers;
    private final Ask ask;
    private volatile List<String> paths = List.of();
    private long every;
    private long last = now();
    private boolean waiting;
    /** How many answers came. */
    final AtomicLong asked = new AtomicLong();

    Lookups(ExecutorService askers, Ask ask) {
        this.askers = askers;
        this.ask = ask;
    }

    /** What is asked for, and that it is asked for no more often than so. */
    void set(List<String> some, long millis) {
        paths = some;
        every = millis;
        last = now() - millis;
    }

    /** Something came after which the lists may be others. */
    synchronized void wanted() {
        if (paths.isEmpty() || waiting) {
            return;
        }
        waiting = true;
        long wait =
                Math.max(0, last + every - now()) + ThreadLocalRandom.current().nextLong(SPREAD_MILLIS);
        CompletableFuture.delayedExecutor(wait, TimeUnit.MILLISECONDS, askers).execute(this::askAll);
    }

    private void askAll() {
        synchronized (this) {
            waiting = false;
            last = now();
        }
        for (String path : paths) {
            try {
                ask.of(path);
                asked.incrementAndGet();
            } catch (IOException failed) {
                // It is counted where it is sent.
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    /** Milliseconds of a clock that nobody sets. */
    private static long now() {
        return TimeUnit.NANOSECONDS.toMillis(System.nanoTime());
    }
}
