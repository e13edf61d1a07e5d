package galecrest.server.rehearse;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.rehearse.Choice;
import galecrest.core.rehearse.Event;
import galecrest.core.rehearse.Luck;
import galecrest.core.rehearse.Rehearsal;
import galecrest.core.rehearse.Week;
import galecrest.server.NewId;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.json.CoreJson;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Rehearsals. What one is at a turn follows from where it began, its luck and what was decided; what is kept in memory only
 * saves playing it again, and another instance plays it again.
 */
@Service
@LeadOrManager
class RehearsalService {
    private static final Logger LOG = LoggerFactory.getLogger(RehearsalService.class);
    private static final int REMEMBERED = 8;
    private static final int TURNS_A_DAY = 2;

    private final RehearsalRepository rehearsals;
    private final PlanService plans;
    private final RehearsalViews views = new RehearsalViews();
    private final CurrentUser who;
    private final Clock clock;
    private final ObjectMapper json = CoreJson.mapper();
    private final Map<String, Played> remembered = Collections.synchronizedMap(new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Played> eldest) {
            return size() > REMEMBERED;
        }
    });
    private final Set<String> weighing = ConcurrentHashMap.newKeySet();
    private final ExecutorService scales = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "rehearsal");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    RehearsalService(RehearsalRepository rehearsals, PlanService plans, CurrentUser who, Clock clock) {
        this.rehearsals = rehearsals;
        this.plans = plans;
        this.who = who;
        this.clock = clock;
    }

    @PreDestroy
    void stop() {
        scales.shutdownNow();
    }

    /** A rehearsal as far as it has been played. */
    private record Played(int turn, Rehearsal week, List<Event> events, List<Choice> choices) {}

    String begin(RehearsalRequest form) {
        ShopSnapshot shop = plans.current().shop();
        String id = NewId.next();
        long seed = form.seed() == null ? NewId.next().hashCode() : form.seed();
        rehearsals.insert(
                new RehearsalRepository.RehearsalRow(
                        id,
                        who.account().username(),
                        seed,
                        form.weather().name(),
                        form.days() * TURNS_A_DAY,
                        0,
                        written(shop),
                        "[]",
                        null),
                clock.instant());
        return id;
    }

    RehearsalResponse look(String id) {
        RehearsalRepository.RehearsalRow row = find(id);
        Played played = played(row);
        if (row.turn() == row.turns() && row.result() == null) {
            weigh(row);
        }
        return response(row, played);
    }

    RehearsalResponse play(String id, PlayRequest form) {
        RehearsalRepository.RehearsalRow row = find(id);
        if (row.turn() != form.turn()) {
            throw new ConflictException("This turn has been played already.", row.turn(), List.of());
        }
        if (row.turn() == row.turns()) {
            throw new ValidationException("turn", "The rehearsal is over.");
        }
        Played played = played(row);
        List<Week.Decision> decisions = new ArrayList<>(decisions(row));
        for (String choice : form.choices()) {
            Choice chosen = played.choices().stream()
                    .filter(c -> c.id().equals(choice))
                    .findFirst()
                    .orElseThrow(() -> new ValidationException("choices", "That cannot be decided at this turn."));
            decisions.add(new Week.Decision(row.turn(), chosen.moves(), chosen.said()));
        }
        if (!rehearsals.playOn(id, row.turn(), written(decisions))) {
            throw new ConflictException("This turn has been played already.", row.turn() + 1, List.of());
        }
        return look(id);
    }

    private RehearsalRepository.RehearsalRow find(String id) {
        return rehearsals.find(id, who.account().username()).orElseThrow(() -> new NotFoundException("rehearsal"));
    }

    private static Luck luck(RehearsalRepository.RehearsalRow row) {
        return new Luck(row.seed(), Luck.Weather.valueOf(row.weather()));
    }

    /** The rehearsal at its turn: played on from what is remembered, or from its beginning. */
    private Played played(RehearsalRepository.RehearsalRow row) {
        Played known = remembered.get(row.id());
        if (known != null && known.turn() == row.turn()) {
            return known;
        }
        List<Week.Decision> decisions = decisions(row);
        Rehearsal week = new Rehearsal(read(row.shop(), new TypeReference<ShopSnapshot>() {}), luck(row));
        List<Event> events = List.of();
        for (int turn = 0; turn < row.turn(); turn++) {
            int now = turn;
            decisions.stream().filter(d -> d.turn() == now).forEach(d -> week.decide(d.moves()));
            events = week.playOn();
        }
        List<Choice> choices = row.turn() < row.turns() ? Week.choices(week) : List.of();
        Played played = new Played(row.turn(), week, events, choices);
        remembered.put(row.id(), played);
        return played;
    }

    private List<Week.Decision> decisions(RehearsalRepository.RehearsalRow row) {
        return read(row.decisions(), new TypeReference<>() {});
    }

    /** Compares the week with what the planner would have come to, apart from whoever asks. */
    private void weigh(RehearsalRepository.RehearsalRow row) {
        if (!weighing.add(row.id())) {
            return;
        }
        ShopSnapshot shop = read(row.shop(), new TypeReference<>() {});
        List<Week.Decision> decisions = decisions(row);
        scales.execute(() -> {
            try {
                Week.Comparison end =
                        Week.compare(shop, luck(row), decisions, row.turns(), () -> !Thread.currentThread()
                                .isInterrupted());
                rehearsals.end(row.id(), written(end));
            } catch (Week.Cancelled stopped) {
                LOG.debug("The comparison of a rehearsal was stopped.");
            } catch (RuntimeException e) {
                LOG.error("A rehearsal could not be compared", e);
            } finally {
                weighing.remove(row.id());
            }
        });
    }

    private RehearsalResponse response(RehearsalRepository.RehearsalRow row, Played played) {
        return views.response(
                row.id(),
                row.turn(),
                row.turns(),
                luck(row),
                played.week(),
                played.events(),
                played.choices(),
                decisions(row),
                row.turn() == row.turns() && row.result() == null,
                row.result() == null ? null : read(row.result(), new TypeReference<Week.Comparison>() {}));
    }

    private String written(Object value) {
        try {
            return json.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("A rehearsal cannot be written.", e);
        }
    }

    private <T> T read(String text, TypeReference<T> type) {
        try {
            return json.readValue(text, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("A rehearsal cannot be read.", e);
        }
    }
}
