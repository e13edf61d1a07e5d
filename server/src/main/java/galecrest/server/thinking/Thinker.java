package galecrest.server.thinking;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.build.CommitmentId;
import galecrest.core.plan.ChanceOptions;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Planner;
import galecrest.core.plan.Score;
import galecrest.core.plan.Simulation;
import galecrest.core.rescue.Rescue;
import galecrest.server.NewId;
import galecrest.server.exchange.CoreJson;
import galecrest.server.plan.PlanService;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Thinks in the background, one question at a time: takes the next from the queue, tells how far it is while it thinks,
 * stops within a second where that is asked. No request ever waits for it.
 */
@Component
@ConditionalOnProperty(name = "galecrest.live", havingValue = "true", matchIfMissing = true)
class Thinker {
    private static final Logger LOG = LoggerFactory.getLogger(Thinker.class);
    private static final long PAUSE_MILLIS = 300;
    private static final long BEAT_MILLIS = 400;
    private static final int TRIALS = 1000;
    private static final int RESCUE_TRIALS = 300;
    private static final int THREADS = 2;
    private static final long LUCK = 1;
    private static final long ENDLESS = Long.MAX_VALUE / 64;

    private final ThoughtRepository queue;
    private final PlanService plans;
    private final String name = NewId.next();
    private final ObjectMapper core = CoreJson.mapper();
    private final Thread thread = new Thread(this::run, "thinker");
    private final ScheduledExecutorService heart = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread beats = new Thread(work, "thinker's heart");
        beats.setDaemon(true);
        return beats;
    });
    private volatile boolean stopping;
    private volatile boolean goOn;

    Thinker(ThoughtRepository queue, PlanService plans) {
        this.queue = queue;
        this.plans = plans;
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
        goOn = false;
        thread.interrupt();
        heart.shutdownNow();
    }

    private void run() {
        while (!stopping) {
            try {
                queue.askChance();
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
        goOn = true;
        news.set(null);
        var beats = heart.scheduleAtFixedRate(
                () -> {
                    try {
                        goOn = queue.beat(thought.id(), name, news.getAndSet(null)) && goOn;
                    } catch (RuntimeException lost) {
                        LOG.debug("A beat was lost: {}", lost.getMessage());
                    }
                },
                0,
                BEAT_MILLIS,
                TimeUnit.MILLISECONDS);
        try {
            Object result =
                    switch (thought.kind()) {
                        case CHANCE -> chance();
                        case RESCUE -> rescue(thought);
                        case HARDER -> harder(thought);
                    };
            queue.end(
                    thought.id(),
                    name,
                    goOn || thought.kind() == Thought.Kind.HARDER ? Thought.State.DONE : Thought.State.STOPPED,
                    result);
        } catch (Rescue.Cancelled cancelled) {
            queue.end(thought.id(), name, Thought.State.STOPPED, null);
        } catch (RuntimeException failure) {
            LOG.warn("{} failed", thought.kind(), failure);
            queue.end(thought.id(), name, Thought.State.FAILED, null);
        } finally {
            beats.cancel(false);
        }
    }

    private @Nullable Object chance() {
        PlanService.Current now = plans.current();
        return Simulation.of(now.shop(), now.plan(), now.guide(), ChanceOptions.of(TRIALS, LUCK, THREADS), done -> goOn)
                .map(c -> OddsView.of(now.change(), now.shop(), c))
                .orElse(null);
    }

    private Object rescue(Thought thought) {
        PlanService.Current now = plans.current();
        AtomicReference<RescueView> last = new AtomicReference<>();
        Rescue.of(
                now.shop(),
                now.plan(),
                now.guide(),
                new CommitmentId(thought.subject()),
                ChanceOptions.of(RESCUE_TRIALS, LUCK, THREADS),
                progress -> {
                    if (!goOn) {
                        throw new Rescue.Cancelled();
                    }
                    RescueView view = RescueView.of(core, progress.done(), progress.all(), progress.tried());
                    last.set(view);
                    news.set(view);
                });
        return last.get() == null ? new RescueView(0, 0, java.util.List.of()) : last.get();
    }

    /** How far a search is. */
    record Progress(long steps, Said before, Said best, double seconds) {}

    /** A score in short. */
    record Said(int missing, double hard, double promised, double rest) {
        static Said of(Score score) {
            return new Said(score.missing(), score.hardLateness(), score.promisedLateness(), score.rest());
        }
    }

    /** Searches until the time is over, keeps what is better than the present plan for all plans to begin from. */
    private Object harder(Thought thought) {
        PlanService.Current now = plans.current();
        long start = System.nanoTime();
        Said before = Said.of(now.plan().score());
        AtomicReference<Score> best = new AtomicReference<>(now.plan().score());
        Planner.Thought found = Planner.think(
                now.shop(),
                PlanOptions.thorough(ENDLESS, thought.change() + 1).from(Optional.of(now.guide())),
                (steps, score) -> {
                    double seconds = (System.nanoTime() - start) / 1e9;
                    Score least = best.accumulateAndGet(score, (a, b) -> b.compareTo(a) < 0 ? b : a);
                    news.set(new Progress(steps, before, Said.of(least), seconds));
                    return goOn && seconds < thought.seconds();
                });
        double seconds = (System.nanoTime() - start) / 1e9;
        if (!stopping && found.plan().score().compareTo(now.plan().score()) < 0) {
            plans.beginFrom(found.guide(), "thought harder for " + thought.askedBy() + ": a better plan");
        }
        return new Progress(found.steps(), before, Said.of(found.plan().score()), seconds);
    }
}
