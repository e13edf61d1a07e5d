package galecrest.server.live;

import galecrest.server.access.Account;
import galecrest.server.access.Role;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.LinkedHashSet;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter.DataWithMediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One open screen. What it is told waits in a queue of its own and is sent by a thread that serves no other screen
 * meanwhile, so that one that does not listen delays nobody.
 */
final class Screen {
    /** A screen that is so far behind has stopped listening; it asks for everything anew when it is back. */
    private static final int MOST_WAITING = 200;

    private final SseEmitter emitter;
    private final Account account;
    private final String session;
    private final Executor senders;
    private final Queue<Set<DataWithMediaType>> waiting = new ArrayDeque<>();
    private boolean sending;
    private boolean closed;

    Screen(SseEmitter emitter, Account account, String session, Executor senders) {
        this.emitter = emitter;
        this.account = account;
        this.session = session;
        this.senders = senders;
    }

    Account account() {
        return account;
    }

    String session() {
        return session;
    }

    /** Whether a draft may be shown on it. */
    boolean seesDrafts() {
        return account.role() != Role.HAND;
    }

    /** Tells it something, now or as soon as it has taken what was before; false where it does not listen any more. */
    synchronized boolean tell(Set<DataWithMediaType> events) {
        if (closed || waiting.size() >= MOST_WAITING) {
            return false;
        }
        waiting.add(events);
        if (!sending) {
            try {
                sending = true;
                senders.execute(this::send);
            } catch (RejectedExecutionException busy) {
                sending = false;
                return false;
            }
        }
        return true;
    }

    private void send() {
        for (Set<DataWithMediaType> next = next(); next != null; next = next()) {
            try {
                emitter.send(next);
            } catch (IOException | RuntimeException gone) {
                close();
            }
        }
        if (closed()) {
            complete();
        }
    }

    private synchronized boolean closed() {
        return closed;
    }

    /** All that waits, to be sent as one. */
    private synchronized @Nullable Set<DataWithMediaType> next() {
        sending = !closed && !waiting.isEmpty();
        if (!sending) {
            return null;
        }
        Set<DataWithMediaType> next = new LinkedHashSet<>();
        waiting.forEach(next::addAll);
        waiting.clear();
        return next;
    }

    /** Nothing is sent to it any more; what it is in the middle of may take until the connection gives up. */
    void close() {
        boolean idle;
        synchronized (this) {
            idle = !closed && !sending;
            closed = true;
            waiting.clear();
        }
        if (idle) {
            try {
                senders.execute(this::complete);
            } catch (RejectedExecutionException stopped) {
                complete();
            }
        }
    }

    private void complete() {
        try {
            emitter.complete();
        } catch (IllegalStateException gone) {
            // It has gone by itself.
        }
    }
}
