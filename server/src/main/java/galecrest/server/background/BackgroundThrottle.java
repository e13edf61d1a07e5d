package galecrest.server.background;

import static java.util.concurrent.TimeUnit.MILLISECONDS;
import static java.util.concurrent.TimeUnit.NANOSECONDS;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets people go first: while the server answers somebody, thinking in the background stands still, for a short while. What
 * nobody waits for rests as much as it works, since the machine may also be the one that somebody looks at the plan on.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BackgroundThrottle extends OncePerRequestFilter {
    private static final long MOST_MILLIS = 500;
    /** It rests after so long, and for no longer at once than this. */
    private static final long WORK_NANOS = 8_000_000;

    private static final long REST_NANOS = 20_000_000;

    private final ReentrantLock lock = new ReentrantLock();
    private final Condition nobody = lock.newCondition();
    private final ThreadLocal<Long> restedAt = ThreadLocal.withInitial(System::nanoTime);
    private int answering;
    private long goesOnUntil = System.nanoTime();

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/")
                || request.getRequestURI().equals("/api/live");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        count(1);
        try {
            chain.doFilter(request, response);
        } finally {
            count(-1);
        }
    }

    private void count(int by) {
        lock.lock();
        try {
            answering += by;
            if (answering == 0) {
                nobody.signalAll();
            }
        } finally {
            lock.unlock();
        }
    }

    /**
     * Waits while somebody is being answered; where that takes long, thinking goes on for as long as it has waited, so that
     * it comes to an end on a busy day too.
     */
    void letPass() {
        lock.lock();
        try {
            if (answering > 0 && System.nanoTime() - goesOnUntil >= 0 && !nobody.await(MOST_MILLIS, MILLISECONDS)) {
                goesOnUntil = System.nanoTime() + MILLISECONDS.toNanos(MOST_MILLIS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            lock.unlock();
        }
    }

    /** Rests for as long as the thread has worked since it last did. */
    void rest() {
        long worked = System.nanoTime() - restedAt.get();
        if (worked < WORK_NANOS) {
            return;
        }
        try {
            NANOSECONDS.sleep(Math.min(worked, REST_NANOS));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        restedAt.set(System.nanoTime());
    }
}
