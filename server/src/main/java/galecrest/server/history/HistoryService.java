package galecrest.server.history;

import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;

/** Puts finished builds away and finds them again. */
@Service
class HistoryService {
    private static final int MOST_FOUND = 200;
    /** A build is left where it stands for so long after all is done. */
    private static final Duration STANDS = Duration.ofDays(14);
    /** Done work of a build that goes on is carried along for so long. */
    private static final Duration CARRIED = Duration.ofDays(120);

    private final HistoryRepository record;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;

    HistoryService(HistoryRepository record, NameRepository names, Journal journal, Clock clock) {
        this.record = record;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
    }

    @LeadOrManager
    List<PutAwayResponse> found(String text) {
        return record.found(text.strip().toLowerCase(Locale.ROOT), MOST_FOUND);
    }

    @ManagerOnly
    void putAway(String build) {
        journal.judge(() -> {
            String inTheWay = record.inTheWay(build, clock.instant()).orElseThrow(() -> new NotFoundException("build"));
            if (!inTheWay.isEmpty()) {
                throw new ValidationException("build", inTheWay);
            }
            record.putAway(List.of(build), clock.instant());
            return "put away " + names.build(build).orElse("a build");
        });
    }

    /** Back on the floor, with all that was done and measured on it: the next build of the same car begins here. */
    @ManagerOnly
    void takeOut(String build) {
        journal.judge(() -> {
            String name = record.name(build).orElseThrow(() -> new NotFoundException("build that is put away"));
            record.takeOut(build);
            record.unfile(build);
            return "took out " + name;
        });
    }

    /** What nobody needs to think of: puts away what has stood finished for long, and files what was done long ago. */
    void tidy() {
        Instant now = clock.instant();
        List<String> finished = record.finished(now.minus(STANDS));
        if (!finished.isEmpty()) {
            journal.judge(() -> {
                List<String> still = record.finished(now.minus(STANDS));
                if (still.isEmpty()) {
                    return null;
                }
                record.putAway(still, now);
                return "put away " + (still.size() == 1 ? "a build" : still.size() + " builds")
                        + " on which nothing was left to do";
            });
        }
        record.file(now.minus(CARRIED));
    }
}
