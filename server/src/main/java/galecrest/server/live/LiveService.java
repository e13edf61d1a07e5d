package galecrest.server.live;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.build.Build;
import galecrest.core.people.PersonId;
import galecrest.core.plan.PlanDifference;
import galecrest.core.time.DurationText;
import galecrest.core.work.Commitment;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.board.BoardService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.session.SessionService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter.DataWithMediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every open screen of every change within a second. Hands hear that something they may see has changed, and nothing
 * of drafts; who has signed out, or may no longer what the session may, hears nothing more.
 */
@Service
class LiveService {
    /** So many screens of one account; a new one takes the place of the oldest. */
    private static final int SCREENS_OF_ACCOUNT = 12;

    private static final int MOST_SENDERS = 256;
    /** News that could not be made so often, while the database answers, never can: screens read everything anew instead. */
    private static final int TRIES = 3;

    private static final Logger LOG = LoggerFactory.getLogger(LiveService.class);

    private final Journal journal;
    private final PlanService plans;
    private final BoardService boards;
    private final SessionService sessions;
    private final CurrentUser who;
    private final ObjectMapper json;
    private final ConcurrentHashMap<Long, Screen> screens = new ConcurrentHashMap<>();
    private final AtomicLong numbers = new AtomicLong();
    private final ExecutorService senders =
            new ThreadPoolExecutor(0, MOST_SENDERS, 30, TimeUnit.SECONDS, new SynchronousQueue<>(), work -> {
                Thread thread = new Thread(work, "live sender");
                thread.setDaemon(true);
                return thread;
            });
    /** The board that hands, and the others, were told of last. */
    private final Map<Boolean, String> editions = new HashMap<>();

    private PlanService.@Nullable Current last;
    private boolean away;
    private int inVain;

    LiveService(
            Journal journal,
            PlanService plans,
            BoardService boards,
            SessionService sessions,
            CurrentUser who,
            ObjectMapper json) {
        this.json = json;
        this.boards = boards;
        this.journal = journal;
        this.plans = plans;
        this.sessions = sessions;
        this.who = who;
    }

    /** Opens a stream of news for the screen that asks; the first tells which change was the last before. */
    @AnyHand
    SseEmitter open() {
        SseEmitter emitter = new SseEmitter(0L);
        Screen screen = new Screen(emitter, who.account(), who.session(), senders);
        long number = numbers.incrementAndGet();
        Runnable gone = () -> {
            screens.remove(number);
            screen.close();
        };
        emitter.onCompletion(gone);
        emitter.onTimeout(gone);
        emitter.onError(e -> gone.run());
        makeRoom(screen.account().username());
        screens.put(number, screen);
        try {
            // Asked for once the screen is on the list: what is changed from here on is told.
            screen.tell(event("hello", "{\"last\":" + journal.last() + "}"));
        } catch (DataAccessException e) {
            gone.run();
            throw e;
        }
        return emitter;
    }

    private void makeRoom(String username) {
        List<Long> his = screens.entrySet().stream()
                .filter(s -> s.getValue().account().username().equals(username))
                .map(s -> s.getKey())
                .sorted(Comparator.naturalOrder())
                .toList();
        for (int i = 0; i <= his.size() - SCREENS_OF_ACCOUNT; i++) {
            Screen oldest = screens.remove(his.get(i));
            if (oldest != null) {
                oldest.close();
            }
        }
    }

    void close() {
        screens.values().forEach(Screen::close);
        screens.clear();
        senders.shutdown();
    }

    /** A sign of life: a lost connection is noticed here, and a lost server there. */
    void stillHere() {
        dropEnded();
        tellAll("beat");
    }

    /** The database is away: every screen is to say so. */
    void away() {
        away = true;
        tellAll("away");
    }

    /** It is back: every screen asks for what it may have missed. */
    void back() {
        if (away) {
            away = false;
            tellAll("hello");
        }
    }

    private void tellAll(String event) {
        Set<DataWithMediaType> told = event(event, "{}");
        screens.values().forEach(s -> tell(s, told));
    }

    /** Long thinking is further, or at its end. */
    void thought(String id) {
        dropEnded();
        Set<DataWithMediaType> thought = event("thought", "\"" + id + "\"");
        screens.values().stream().filter(Screen::seesDrafts).forEach(s -> tell(s, thought));
    }

    /** Ends the streams of sessions that have ended. */
    private void dropEnded() {
        if (screens.isEmpty()) {
            return;
        }
        Set<String> alive =
                sessions.alive(screens.values().stream().map(Screen::session).collect(Collectors.toSet()));
        screens.forEach((number, screen) -> {
            if (!alive.contains(screen.session())) {
                screens.remove(number);
                screen.close();
            }
        });
    }

    private void tell(Screen screen, Set<DataWithMediaType> events) {
        if (!events.isEmpty() && !screen.tell(events)) {
            screens.values().remove(screen);
            screen.close();
        }
    }

    /** Passes on what has changed since the last time; on the first time there is nothing to compare with. */
    void changed() {
        PlanService.Current before = last;
        PlanService.Current now = plans.current();
        List<Journal.Entry> entries = before == null
                ? List.of()
                : journal.after(before.change()).stream()
                        .filter(e -> e.id() <= now.change())
                        .toList();
        dropEnded();
        if (before == null || entries.isEmpty() || screens.isEmpty()) {
            last = now;
            return;
        }
        try {
            tell(before, now, entries);
            inVain = 0;
        } catch (RuntimeException failure) {
            inVain++;
            if (inVain < TRIES) {
                throw failure;
            }
            LOG.error(
                    "What change {} brought cannot be told; every screen reads everything anew.",
                    now.change(),
                    failure);
            inVain = 0;
            last = now;
            editions.clear();
            tellAll("hello");
        }
    }

    private void tell(PlanService.Current before, PlanService.Current now, List<Journal.Entry> entries) {
        BoardService.@Nullable Pushed forHands = pushed(true);
        BoardService.@Nullable Pushed forOthers = pushed(false);
        PlanDifference difference = plans.since(before, now);
        List<Set<DataWithMediaType>> whole = new ArrayList<>();
        List<Set<DataWithMediaType>> withoutEffects = new ArrayList<>();
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
            whole.add(event("change", written(change)));
            withoutEffects.add(event("change", written(change.withoutEffects())));
        }
        // Only now: where the database did not answer on the way, what there is to tell is told the next time.
        last = now;
        Set<DataWithMediaType> newsForHands = news(true, forHands);
        Set<DataWithMediaType> newsForOthers = news(false, forOthers);
        // All that is new goes to a screen at once.
        screens.values().forEach(s -> {
            Set<DataWithMediaType> all = new LinkedHashSet<>(s.seesDrafts() ? newsForOthers : newsForHands);
            for (int i = 0; i < entries.size(); i++) {
                if (entries.get(i).isFor(s.account().role())) {
                    all.addAll((s.seesDrafts() ? whole : withoutEffects).get(i));
                }
            }
            tell(s, all);
        });
    }

    /** What is new on the board of hands, or of the others, before they ask; null where none of them looks. */
    private BoardService.@Nullable Pushed pushed(boolean hands) {
        return screens.values().stream().allMatch(s -> s.seesDrafts() == hands)
                ? null
                : boards.pushed(hands, editions.get(hands));
    }

    /** The same as an event, empty where there is none; from now on that board is the one they were told of last. */
    private Set<DataWithMediaType> news(boolean hands, BoardService.@Nullable Pushed pushed) {
        if (pushed == null) {
            editions.remove(hands);
            return Set.of();
        }
        editions.put(hands, pushed.edition());
        return pushed.json() == null ? Set.of() : event("news", pushed.json());
    }

    /** An event as it is sent, the same for all screens. */
    private static Set<DataWithMediaType> event(String name, String data) {
        return SseEmitter.event()
                .name(name)
                .data(data, MediaType.APPLICATION_JSON)
                .build();
    }

    private String written(LiveChange change) {
        try {
            return json.writeValueAsString(change);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
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
                            + DurationText.signed(m.before().orElseThrow()) + " → "
                            + DurationText.signed(m.after().orElseThrow());
                })
                .limit(4)
                .toList();
    }

    private static List<String> names(PlanDifference difference, PlanService.Current now) {
        Set<PersonId> told = difference.toTell(now.shop());
        return now.shop().people().stream()
                .filter(p -> told.contains(p.id()))
                .map(p -> p.name())
                .toList();
    }
}
