package galecrest.server.live;

import galecrest.server.journal.Journal;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Hears what any instance has written: the database notifies, each instance listens on a connection of its own. */
@Component
@ConditionalOnProperty(name = "galecrest.live", havingValue = "true", matchIfMissing = true)
class LiveListener {
    private static final Logger LOG = LoggerFactory.getLogger(LiveListener.class);
    private static final int BEAT_MILLIS = 5_000;
    /** A database that has not said a word for so long is away. */
    private static final int SILENT_SECONDS = 3;

    private static final int RETRY_MILLIS = 1_000;
    /** Notices of long thinking; see the queue of thoughts. */
    private static final String THOUGHTS = "galecrest_thought";

    private final DataSource database;
    private final LiveService live;
    private final Thread listener = new Thread(this::listen, "live");
    private volatile boolean stopping;

    LiveListener(DataSource database, LiveService live) {
        this.database = database;
        this.live = live;
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
        live.close();
    }

    private void listen() {
        while (!stopping) {
            try (Connection connection = database.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + Journal.CHANNEL);
                statement.execute("listen " + THOUGHTS);
                PGConnection notices = connection.unwrap(PGConnection.class);
                live.changed();
                live.back();
                listen(connection, notices);
            } catch (SQLException | RuntimeException failure) {
                if (!stopping) {
                    LOG.warn("Listening for changes failed, trying again: {}", failure.getMessage());
                    live.away();
                    pause();
                }
            }
        }
    }

    private void listen(Connection connection, PGConnection notices) throws SQLException {
        long beat = System.nanoTime();
        while (!stopping) {
            // Only what is left of the beat: a notice in the middle of it does not put it off.
            long left = BEAT_MILLIS - TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - beat);
            PGNotification[] heard = notices.getNotifications((int) Math.max(1, left));
            if (heard != null && heard.length > 0) {
                tell(heard);
            }
            if (System.nanoTime() - beat >= TimeUnit.MILLISECONDS.toNanos(BEAT_MILLIS)) {
                beat = System.nanoTime();
                if (!connection.isValid(SILENT_SECONDS)) {
                    throw new SQLException("The database does not answer.");
                }
                live.stillHere();
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
            live.changed();
        }
        thoughts.forEach(live::thought);
    }

    private static void pause() {
        try {
            Thread.sleep(RETRY_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
