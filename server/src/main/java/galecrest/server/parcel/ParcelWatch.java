package galecrest.server.parcel;

import galecrest.server.journal.Journal;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Asks the carrier, where there is one, and writes down what is new: the plan follows by itself. */
@Component
class ParcelWatch {
    private static final Logger LOG = LoggerFactory.getLogger(ParcelWatch.class);
    private static final long EVERY_SECONDS = 30;

    private final Optional<ParcelTracker> carrier;
    private final ParcelRepository parcels;
    private final Journal journal;
    private final Clock clock;
    private final boolean watches;
    private final ScheduledExecutorService rounds = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "parcel watch");
        thread.setDaemon(true);
        return thread;
    });

    ParcelWatch(
            ObjectProvider<ParcelTracker> carrier,
            ParcelRepository parcels,
            Journal journal,
            Clock clock,
            @Value("${galecrest.parcels.watch:true}") boolean watches) {
        this.watches = watches;
        this.carrier = Optional.ofNullable(carrier.getIfAvailable());
        this.parcels = parcels;
        this.journal = journal;
        this.clock = clock;
    }

    @PostConstruct
    void start() {
        if (watches && carrier.isPresent()) {
            rounds.scheduleWithFixedDelay(this::look, EVERY_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
        }
    }

    @PreDestroy
    void stop() {
        rounds.shutdownNow();
    }

    /** One round; what was told before is not told again, so that two instances do not say it twice. */
    void look() {
        try {
            Instant now = clock.instant();
            carrier.ifPresent(c -> parcels.onTheirWay().forEach(p -> c.ask(p.tracking(), p.shipped(), p.promised(), now)
                    .filter(s -> !said(s).equals(p.lastWord()))
                    .ifPresent(s -> note(p, s, now))));
        } catch (RuntimeException failure) {
            LOG.warn("The carrier could not be asked: {}", failure.getMessage());
        }
    }

    private static String said(ParcelTracker.Sighting sighting) {
        return "parcel " + sighting.said();
    }

    private void note(ParcelRow parcel, ParcelTracker.Sighting sighting, Instant now) {
        String said = said(sighting);
        journal.judge(() -> {
            boolean stillNews = parcels.onItsWay(parcel.id())
                    .filter(p -> !said.equals(p.lastWord()))
                    .isPresent();
            if (!stillNews) {
                return null;
            }
            parcels.say(parcel.id(), said, now);
            switch (sighting.state()) {
                case SLIPPED -> sighting.expected().ifPresent(at -> parcels.comes(parcel.id(), at));
                case LOST -> parcels.lost(parcel.id());
                case DELIVERED -> parcels.arrived(parcel.id());
                case MOVING -> {}
            }
            return parcel.name() + ": " + said;
        });
    }
}
