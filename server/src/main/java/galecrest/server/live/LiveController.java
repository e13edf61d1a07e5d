package galecrest.server.live;

import galecrest.core.build.Build;
import galecrest.core.build.Commitment;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.Sentences;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every open screen of every change within a second, whichever instance made it: the database notifies, each
 * instance listens on a connection of its own and passes it on as server-sent events.
 */
@RestController
@ConditionalOnProperty(name = "galecrest.live", havingValue = "true", matchIfMissing = true)
class LiveController {
    private static final Logger LOG = LoggerFactory.getLogger(LiveController.class);
    private static final int WAIT_MILLIS = 10_000;
    private static final int RETRY_MILLIS = 1_000;

    /** Notices of long thinking; see the queue of thoughts. */
    private static final String THOUGHTS = "galecrest_thought";

    private final DataSource database;
    private final Journal journal;
    private final PlanService plans;
    private final Set<SseEmitter> screens = ConcurrentHashMap.newKeySet();
    private final Thread listener = new Thread(this::listen, "live");
    private volatile boolean stopping;
    private PlanService.@Nullable Current last;

    LiveController(DataSource database, Journal journal, PlanService plans) {
        this.database = database;
        this.journal = journal;
        this.plans = plans;
    }

    @PostConstruct
    void start() {
        listener.setDaemon(true);
        listener.start();
    }

    @PreDestroy
    void stop() {
        stopping = true;
        listener.interrupt();
        screens.forEach(LiveController::end);
    }

    private static void end(SseEmitter screen) {
        try {
            screen.complete();
        } catch (IllegalStateException gone) {
            LOG.debug("A screen had gone already: {}", gone.getMessage());
        }
    }

    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live() {
        SseEmitter screen = new SseEmitter(0L);
        screen.onCompletion(() -> screens.remove(screen));
        screen.onTimeout(() -> screens.remove(screen));
        screen.onError(e -> screens.remove(screen));
        screens.add(screen);
        send(screen, SseEmitter.event().name("hello").data("{}", MediaType.APPLICATION_JSON));
        return screen;
    }

    private void send(SseEmitter screen, SseEmitter.SseEventBuilder event) {
        try {
            screen.send(event);
        } catch (IOException | IllegalStateException gone) {
            screens.remove(screen);
        }
    }

    private void listen() {
        while (!stopping) {
            try (Connection connection = database.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + Journal.CHANNEL);
                statement.execute("listen " + THOUGHTS);
                PGConnection notices = connection.unwrap(PGConnection.class);
                tell();
                while (!stopping) {
                    var heard = notices.getNotifications(WAIT_MILLIS);
                    if (heard != null && heard.length > 0) {
                        tell(heard);
                    } else {
                        screens.forEach(s -> send(s, SseEmitter.event().comment("still here")));
                    }
                }
            } catch (SQLException | RuntimeException failure) {
                if (!stopping) {
                    LOG.warn("Listening for changes failed, trying again: {}", failure.getMessage());
                    pause();
                }
            }
        }
    }

    private void tell(PGNotification[] heard) {
        Set<String> thoughts = new LinkedHashSet<>();
        boolean changed = false;
        for (PGNotification notice : heard) {
            if (notice.getName().equals(THOUGHTS)) {
                thoughts.add(notice.getParameter());
            } else {
                changed = true;
            }
        }
        if (changed) {
            tell();
        }
        thoughts.forEach(id -> screens.forEach(
                s -> send(s, SseEmitter.event().name("thought").data("\"" + id + "\"", MediaType.APPLICATION_JSON))));
    }

    private static void pause() {
        try {
            Thread.sleep(RETRY_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Passes on what has changed since the last time; on the first time there is nothing to compare with. */
    private void tell() {
        PlanService.Current before = last;
        PlanService.Current now = plans.current();
        last = now;
        if (before == null) {
            return;
        }
        List<Journal.Entry> entries = journal.after(before.change()).stream()
                .filter(e -> e.id() <= now.change())
                .toList();
        if (entries.isEmpty()) {
            return;
        }
        PlanDifference difference = plans.since(before, now);
        for (int i = 0; i < entries.size(); i++) {
            Journal.Entry entry = entries.get(i);
            boolean carries = i == entries.size() - 1;
            LiveChange change = new LiveChange(
                    entry.id(),
                    entry.at(),
                    entry.actor(),
                    entry.summary(),
                    carries ? difference.moved().size() : 0,
                    carries ? margins(difference, now) : List.of(),
                    carries ? names(difference, now) : List.of());
            screens.forEach(s -> send(s, SseEmitter.event().name("change").data(change, MediaType.APPLICATION_JSON)));
        }
    }

    private static List<String> margins(PlanDifference difference, PlanService.Current now) {
        return difference.margins().stream()
                .filter(m -> m.before().isPresent() && m.after().isPresent())
                .map(m -> {
                    Commitment commitment = now.shop().commitments().stream()
                            .filter(c -> c.id().equals(m.commitment()))
                            .findFirst()
                            .orElseThrow();
                    String car = now.shop().builds().stream()
                            .filter(b -> b.id().equals(commitment.build()))
                            .map(Build::called)
                            .findFirst()
                            .orElse("");
                    return car + ", " + commitment.name() + ": "
                            + Sentences.hours(m.before().orElseThrow()) + " → "
                            + Sentences.hours(m.after().orElseThrow());
                })
                .limit(4)
                .toList();
    }

    private static List<String> names(PlanDifference difference, PlanService.Current now) {
        return now.shop().people().stream()
                .filter(p -> difference.toTell().contains(p.id()))
                .map(p -> p.name())
                .toList();
    }
}
