package galecrest.server.rollout;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Looks at the logger while a car runs or drives; what is beyond its limit twice in a row asks to stop. */
@Component
class LiveWatch {
    private static final Logger LOG = LoggerFactory.getLogger(LiveWatch.class);
    private static final long EVERY_MILLIS = 700;

    private final LiveLimits limits;
    private Map<String, String> before = Map.of();
    private final ScheduledExecutorService rounds = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "live watch");
        thread.setDaemon(true);
        return thread;
    });

    LiveWatch(LiveLimits limits) {
        this.limits = limits;
    }

    @PostConstruct
    void start() {
        rounds.scheduleWithFixedDelay(this::look, EVERY_MILLIS, EVERY_MILLIS, TimeUnit.MILLISECONDS);
    }

    @PreDestroy
    void stop() {
        rounds.shutdownNow();
    }

    /** One round; one reading beyond its limit may be a spike. */
    void look() {
        try {
            Map<String, String> now = limits.look();
            now.forEach((attempt, why) -> {
                if (before.containsKey(attempt)) {
                    limits.askToStop(attempt, why);
                }
            });
            before = now;
        } catch (RuntimeException failure) {
            LOG.warn("The logger could not be looked at: {}", failure.getMessage());
        }
    }
}
