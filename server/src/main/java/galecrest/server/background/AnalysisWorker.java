package galecrest.server.background;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.insight.DelayImpact;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Score;
import galecrest.core.plan.SearchListener;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.rescue.Rescue;
import galecrest.core.risk.MonteCarlo;
import galecrest.core.risk.RiskOptions;
import galecrest.core.work.CommitmentId;
import galecrest.server.NewId;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.json.CoreJson;
import galecrest.server.offer.OfferService;
import galecrest.server.plan.PlanService;
import galecrest.server.sheet.JobSheetService;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * Thinks in the background, one question at a time: takes the next from the queue, tells how far it is while it thinks,
 * stops within a second where that is asked. No request ever waits for it.
 */
@Component
@ConditionalOnProperty(name = "galecrest.live", havingValue = "true", matchIfMissing = true)
class AnalysisWorker {
    private static final Logger LOG = LoggerFactory.getLogger(AnalysisWorker.class);
    private static final long PAUSE_MILLIS = 300;
    private static final long BEAT_MILLIS = 400;
    /** Odds are reckoned once nothing has changed for so long: they would take the time of those who change things. */
    private static final long REST_NANOS = 1_200_000_000L;

    /** A new build is planned without a date that presses it. */
    private static final Duration LONG_AWAY = Duration.ofDays(400);

    private static final int RESCUE_TRIALS = 300;
    private static final int THREADS = 2;
    /** Nobody waits for the odds; whoever works meanwhile has a processor. */
    private static final int ODDS_THREADS =
            Math.max(1, Math.min(THREADS, Runtime.getRuntime().availableProcessors() - 1));

    private static final long ENDLESS = Long.MAX_VALUE / 64;

    private final ThoughtRepository queue;
    private final PlanService plans;
    private final Journal journal;
    private final JobSheetService sheets;
    private final OfferService offers;
    /** Whether odds are reckoned without being asked. */
    private final boolean odds;
    /** Whether better plans are looked for without being asked. */
    private final boolean offering;

    private final BackgroundThrottle courtesy;
    private final String name = NewId.next();
    private final ObjectMapper core = CoreJson.mapper();
    private final Thread thread = new Thread(this::run, "thinker");
    private final ScheduledExecutorService heart = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread beats = new Thread(work, "thinker's heart");
        beats.setDaemon(true);
        return beats;
    });
    private long lastChange = -1;
    private long lastSeen = System.nanoTime() - REST_NANOS;
    private volatile boolean stopping;
    /** Whether the present thought is still wanted; a new one for each, so that a late beat of another stops nothing. */
    private volatile AtomicBoolean goOn = new AtomicBoolean();

    AnalysisWorker(
            ThoughtRepository queue,
            PlanService plans,
            Journal journal,
            JobSheetService sheets,
            OfferService offers,
            BackgroundThrottle courtesy,
            @Value("${galecrest.odds:true}") boolean odds,
            @Value("${galecrest.offering:true}") boolean offering) {
        this.odds = odds;
        this.offers = offers;
        this.offering = offering;
        this.courtesy = courtesy;
        this.sheets = sheets;
        this.queue = queue;
        this.plans = plans;
        this.journal = journal;
    }

    @PostConstruct
    void start() {
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
    }

    @PreDestroy
    void stop() {
        stopping = true;
        goOn.set(false);
        thread.interrupt();
        heart.shutdownNow();
    }

    private void run() {
        while (!stopping) {
            try {
                if (quiet()) {
                    if (odds) {
                        queue.askChance();
                    }
                    if (offering) {
                        queue.askOffer();
                    }
                }
                Optional<Thought> next = queue.claim(name);
                if (next.isPresent()) {
                    think(next.get());
                } else {
                    Thread.sleep(PAUSE_MILLIS);
                }
            } catch (InterruptedException e) {
                return;
            } catch (RuntimeException failure) {
                if (!stopping) {
                    LOG.warn("Thinking failed, trying again: {}", failure.getMessage());
                    pause();
                }
            }
        }
    }

    /** Whether the record has rested for a while; odds of what is being changed are not worth having. */
    private boolean quiet() {
        long change = journal.last();
        if (change != lastChange) {
            lastChange = change;
            lastSeen = System.nanoTime();
        }
        return System.nanoTime() - lastSeen >= REST_NANOS;
    }

    private static void pause() {
        try {
            Thread.sleep(4 * PAUSE_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What the heart tells of a thought with its next beat; null where nothing is new. */
    private final AtomicReference<@Nullable Object> news = new AtomicReference<>();

    private void think(Thought thought) {
        AtomicBoolean wantedStill = new AtomicBoolean(!stopping);
        goOn = wantedStill;
        news.set(null);
        var beats = heart.scheduleAtFixedRate(
                () -> {
                    try {
                        boolean asked = thought.kind() != Thought.Kind.CHANCE && thought.kind() != Thought.Kind.OFFER;
                        boolean makesRoom = thought.kind() == Thought.Kind.OFFER && queue.somebodyWaits();
                        boolean wanted = asked || journal.last() == thought.change() && !makesRoom;
                        if (!queue.beat(thought.id(), name, news.getAndSet(null)) || !wanted) {
                            wantedStill.set(false);
                        }
                    } catch (RuntimeException lost) {
                        LOG.debug("A beat was lost: {}", lost.getMessage());
                    }
                },
                0,
                BEAT_MILLIS,
                TimeUnit.MILLISECONDS);
        try {
            PlanService.Current now = plans.current();
            Object result =
                    switch (thought.kind()) {
                        case CHANCE -> chance(now);
                        case RESCUE -> rescue(thought);
                        case HARDER -> harder(thought);
                        case PROMISE -> promise(thought);
                        case OFFER -> offer(thought, now);
                    };
            queue.end(
                    thought.id(),
                    name,
                    result != null && wantedStill.get() || thought.kind() == Thought.Kind.HARDER
                            ? Thought.State.DONE
                            : Thought.State.STOPPED,
                    result,
                    thought.kind() == Thought.Kind.CHANCE && plans.isTold(now));
        } catch (Rescue.Cancelled cancelled) {
            queue.end(thought.id(), name, Thought.State.STOPPED, null, false);
        } catch (RuntimeException failure) {
            if (!stopping) {
                LOG.warn("{} failed", thought.kind(), failure);
                queue.end(thought.id(), name, Thought.State.FAILED, null, false);
            }
        } finally {
            beats.cancel(false);
        }
    }

    /** As {@link #goesOn}, for what nobody waits for. */
    private boolean goesOnAtLeisure() {
        courtesy.rest();
        return goesOn();
    }

    /** Whether the present thought is still wanted; asked often, and people who ask for something go first. */
    private boolean goesOn() {
        courtesy.letPass();
        return goOn.get();
    }

    private @Nullable Object chance(PlanService.Current now) {
        return MonteCarlo.of(
                        now.shop(),
                        now.plan(),
                        RiskOptions.of(OddsService.TRIALS, OddsService.LUCK, ODDS_THREADS),
                        done -> goesOnAtLeisure())
                .flatMap(c -> DelayImpact.of(now.shop(), now.plan(), this::goesOnAtLeisure)
                        .map(h -> OddsView.of(now.change(), now.shop(), now.plan(), c, h)))
                .orElse(null);
    }

    /** Plans the shop with one build more, its other dates first, and lets luck play on it. */
    private @Nullable Object promise(Thought thought) {
        PlanService.Current now = plans.current();
        Instant longAway = now.shop().now().plus(LONG_AWAY);
        JobSheetService.Tried tried = asManager(thought, () -> sheets.withNewBuild(thought.subject(), longAway));
        Planner.Thought found = Planner.think(
                tried.shop(),
                PlanOptions.interactive(tried.shop()).from(Optional.of(now.guide())),
                (steps, score) -> goesOn());
        return MonteCarlo.of(
                        tried.shop(),
                        found.plan(),
                        RiskOptions.of(RESCUE_TRIALS, OddsService.LUCK, THREADS),
                        done -> goesOn())
                .map(chance -> PromiseView.of(chance, tried.end()))
                .orElse(null);
    }

    /** What only the manager may, for the manager who asked. */
    private static <T> T asManager(Thought thought, Supplier<T> action) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                thought.askedBy(), null, List.of(new SimpleGrantedAuthority("ROLE_" + Role.MANAGER))));
        SecurityContextHolder.setContext(context);
        try {
            return action.get();
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    private Object rescue(Thought thought) {
        PlanService.Current now = plans.current();
        AtomicReference<RescueView> last = new AtomicReference<>();
        Rescue.of(
                now.shop(),
                now.plan(),
                new CommitmentId(thought.subject()),
                RiskOptions.of(RESCUE_TRIALS, OddsService.LUCK, THREADS),
                progress -> {
                    if (!goesOn()) {
                        throw new Rescue.Cancelled();
                    }
                    RescueView view = RescueView.of(core, progress.done(), progress.all(), progress.tried());
                    last.set(view);
                    news.set(view);
                });
        return last.get() == null ? new RescueView(0, 0, List.of()) : last.get();
    }

    /** How far a search is. */
    record Progress(long steps, Said before, Said best, double seconds) {}

    /** A score in short. */
    record Said(int missing, double hard, double promised, double rest) {
        static Said of(Score score) {
            return new Said(score.missing(), score.hardLateness(), score.promisedLateness(), score.rest());
        }
    }

    /** Looks for a better plan than the one that stands, and puts it on offer. */
    private Object offer(Thought thought, PlanService.Current now) {
        long start = System.nanoTime();
        boolean offered = false;
        if (now.shop().standing().isPresent()) {
            ShopSnapshot shop = offers.lookedAt(now.shop(), thought.seconds() == ThoughtRepository.FIRST_LOOK);
            Planner.Thought found = searched(
                    now,
                    shop,
                    thought,
                    1,
                    (steps, score) -> goesOnAtLeisure() && (System.nanoTime() - start) / 1e9 < thought.seconds());
            offered = goOn.get() && offers.found(now, found.plan());
        }
        return new Offered(offered);
    }

    /** What came of looking for a better plan. */
    record Offered(boolean offered) {}

    private static Planner.Thought searched(
            PlanService.Current now, ShopSnapshot shop, Thought thought, int searches, SearchListener watch) {
        return Planner.think(
                shop.withTaken(now.plan()),
                PlanOptions.thorough(ENDLESS, thought.change() + thought.seconds())
                        .withSearches(searches)
                        .from(Optional.of(now.guide())),
                watch);
    }

    /** Searches until the time is over and puts what is better than the present plan on offer. */
    private Object harder(Thought thought) {
        PlanService.Current now = plans.current();
        long start = System.nanoTime();
        Said before = Said.of(now.plan().score());
        AtomicReference<Score> best = new AtomicReference<>(now.plan().score());
        Planner.Thought found = searched(now, now.shop(), thought, THREADS, (steps, score) -> {
            double seconds = (System.nanoTime() - start) / 1e9;
            Score least = best.accumulateAndGet(score, (a, b) -> b.compareTo(a) < 0 ? b : a);
            news.set(new Progress(steps, before, Said.of(least), seconds));
            return goesOn() && seconds < thought.seconds();
        });
        double seconds = (System.nanoTime() - start) / 1e9;
        if (!stopping) {
            offers.found(now, found.plan());
        }
        return new Progress(found.steps(), before, Said.of(found.plan().score()), seconds);
    }
}
