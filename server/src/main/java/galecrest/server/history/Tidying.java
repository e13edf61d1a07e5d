package galecrest.server.history;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Tidies when the server has started, and every few hours. */
@Component
class Tidying {
    private static final Logger LOG = LoggerFactory.getLogger(Tidying.class);
    private static final long EVERY_HOURS = 3;

    private final HistoryService history;
    private final boolean tidies;
    private final ScheduledExecutorService rounds = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "tidying");
        thread.setDaemon(true);
        return thread;
    });

    Tidying(HistoryService history, @Value("${galecrest.tidies:true}") boolean tidies) {
        this.history = history;
        this.tidies = tidies;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (tidies) {
            rounds.scheduleWithFixedDelay(this::tidy, 0, EVERY_HOURS, TimeUnit.HOURS);
        }
    }

    @PreDestroy
    void stop() {
        rounds.shutdownNow();
    }

    private void tidy() {
        try {
            history.tidy();
        } catch (RuntimeException failure) {
            LOG.warn("What is finished could not be put away: {}", failure.getMessage());
        }
    }
}
