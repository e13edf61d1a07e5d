package galecrest.server.trackday;

import galecrest.core.build.Gate;
import galecrest.core.gauge.track.LapTime;
import galecrest.core.shop.Problem;
import galecrest.core.trackday.TestDay;
import galecrest.core.trackday.TestRun;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.capture.CaptureService;
import galecrest.server.device.DeviceService;
import galecrest.server.event.EventResponse;
import galecrest.server.event.EventService;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import galecrest.server.work.WorkDateRequest;
import galecrest.server.work.WorkService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Test days: the plan of the runs, a sheet for each, and what is to be fixed afterwards. */
@Service
class TestDayService {
    private static final int LONGEST = 120;
    private static final int LONGEST_WORDS = 2_000;
    private static final int MOST_RUNS = 60;
    private static final int AN_HOUR = 60;
    private static final int LONGEST_FIX = 20 * 40 * 60;

    private final TestDayRepository record;
    private final EventService events;
    private final NameRepository names;
    private final CaptureService capture;
    private final WorkService works;
    private final DeviceService devices;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    TestDayService(
            TestDayRepository record,
            EventService events,
            NameRepository names,
            CaptureService capture,
            WorkService works,
            DeviceService devices,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.events = events;
        this.names = names;
        this.capture = capture;
        this.works = works;
        this.devices = devices;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    /** The test day of each car of an event. */
    @AnyHand
    List<TestDayResponse> of(String event) {
        return events.get(event).cars().stream()
                .map(c -> {
                    List<TestDayResponse.TestRunResponse> runs = record.runs(event, c.buildId());
                    return new TestDayResponse(
                            c.buildId(),
                            runs,
                            TestDay.remarks(
                                    runs.stream().map(TestDayService::run).toList()),
                            record.findings(event, c.buildId()));
                })
                .toList();
    }

    private static TestRun run(TestDayResponse.TestRunResponse run) {
        return new TestRun(run.id(), run.changes(), run.value(), run.dry(), run.ranAt() != null);
    }

    @LeadOrManager
    String add(String event, TestRunRequest form) {
        check(form);
        String id = NewId.next();
        journal.judge(() -> {
            String car = car(event, form.buildId());
            if (record.runs(event, form.buildId()).size() >= MOST_RUNS) {
                throw new ValidationException("changes", "A test day has at most " + MOST_RUNS + " runs.");
            }
            own(form.setId(), form.buildId());
            record.insert(id, event, form);
            return "planned a run of " + car + ": " + said(form);
        });
        return id;
    }

    private static String said(TestRunRequest form) {
        List<String> changes = form.changes() == null ? List.of() : form.changes();
        return changes.isEmpty() ? "baseline" : String.join(", ", changes);
    }

    private String car(String event, @Nullable String build) {
        if (build == null
                || events.get(event).cars().stream().noneMatch(c -> c.buildId().equals(build))) {
            throw new ValidationException("buildId", "Which car of this event?");
        }
        return names.build(build).orElseThrow(() -> new NotFoundException("build"));
    }

    private void own(@Nullable String set, String build) {
        if (set != null && !record.isSet(set, build)) {
            throw new ValidationException("setId", "That set is another car's, or is gone.");
        }
    }

    /** Writes a run sheet; when it is said to have been driven, the air is taken from the weather station where nobody has. */
    @AnyHand
    void change(String run, TestRunRequest form) {
        check(form);
        TestRunRequest sheet = form.ran() && blank(form.air()) ? withAir(form) : form;
        journal.judge(() -> {
            TestDayRepository.Place there = mustBe(run);
            own(form.setId(), there.build());
            Instant ranAt = form.ran() ? Optional.ofNullable(there.ranAt()).orElseGet(clock::instant) : null;
            if (!record.update(run, sheet, ranAt)) {
                throw new ConflictException("Somebody else has written on this run sheet.", 0, List.of());
            }
            return (form.ran() && there.ranAt() == null ? "drove " : "wrote on the run sheet of ")
                    + names.build(there.build()).orElse("a car") + ": " + said(form);
        });
    }

    private static boolean blank(@Nullable String text) {
        return text == null || text.isBlank();
    }

    private TestRunRequest withAir(TestRunRequest form) {
        DeviceService.Channel air = devices.channels("weather").get("temperature");
        return new TestRunRequest(
                form.buildId(),
                form.changes(),
                form.value(),
                form.dry(),
                form.setId(),
                form.cold(),
                form.hot(),
                form.fuel(),
                form.driver(),
                form.conditions(),
                air == null ? "" : air.said(),
                form.track(),
                form.laps(),
                form.words(),
                true,
                form.version());
    }

    private TestDayRepository.Place mustBe(String run) {
        return record.place(run).orElseThrow(() -> new NotFoundException("run"));
    }

    @LeadOrManager
    void remove(String run) {
        journal.judge(() -> {
            TestDayRepository.Place there = mustBe(run);
            if (there.ranAt() != null) {
                throw new ValidationException("ran", "It was driven; its sheet stays.");
            }
            record.delete(run);
            return "took a run of " + names.build(there.build()).orElse("a car") + " off the test day";
        });
    }

    @LeadOrManager
    void order(String event, TestOrderRequest form) {
        journal.judge(() -> {
            String car = car(event, form.buildId());
            List<TestRun> runs = record.runs(event, form.buildId()).stream()
                    .map(TestDayService::run)
                    .toList();
            List<String> ids = runs.stream().map(TestRun::id).toList();
            List<String> order = form.order() != null
                    ? form.order()
                    : TestDay.order(runs, form.rain()).stream().map(TestRun::id).toList();
            if (order.size() != ids.size() || !new HashSet<>(order).equals(new HashSet<>(ids))) {
                throw new ConflictException("Somebody else has changed these runs.", 0, List.of());
            }
            if (order.equals(ids)) {
                return null;
            }
            record.order(order);
            return "put the runs of " + car + " in order";
        });
    }

    @AnyHand
    void find(String event, TestFindingRequest form) {
        String what = form.what() == null ? "" : form.what().strip();
        if (what.isEmpty() || what.length() > LONGEST) {
            throw new ValidationException("what", "What was found? 1 to " + LONGEST + " letters.");
        }
        journal.judge(() -> {
            String car = car(event, form.buildId());
            record.find(NewId.next(), event, form.buildId(), what, who.name(), clock.instant());
            return "found at the test, " + car + ": " + what;
        });
    }

    /** Says when a finding is put right: before the event and after it makes a job of it, never takes the job back. */
    @LeadOrManager
    void decide(String finding, TestFindingRequest form) {
        if (form.decision() == null || form.minutes() < 0 || form.minutes() > LONGEST_FIX) {
            throw new ValidationException("minutes", "0 to 800 h.");
        }
        String skill = capture.usualSkill();
        int minutes = form.minutes() == 0 ? AN_HOUR : form.minutes();
        journal.judge(() -> {
            TestDayRepository.Found there = record.finding(finding).orElseThrow(() -> new NotFoundException("finding"));
            String work = there.work().orElse(null);
            switch (form.decision()) {
                case BEFORE, AFTER -> {
                    if (work == null) {
                        work = capture.finding(
                                there.build(), there.what(), Optional.empty(), minutes, Gate.EVENT, skill);
                    }
                    works.belongTo(
                            work,
                            new WorkDateRequest(null, form.decision() == TestFindingRequest.Decision.AFTER, null));
                }
                default -> {
                    if (work != null && !works.removeIfNotBegun(work)) {
                        throw new ValidationException("decision", "Work on it has begun; end that job first.");
                    }
                    work = null;
                }
            }
            record.decide(finding, form.decision(), work);
            return there.what() + ": " + form.decision().name().toLowerCase(Locale.ROOT);
        });
    }

    private static void check(TestRunRequest form) {
        List<Problem> problems = new ArrayList<>();
        List<String> changes = form.changes() == null ? List.of() : form.changes();
        if (changes.size() > 10 || changes.stream().anyMatch(c -> c.length() > LONGEST || c.contains("\n"))) {
            problems.add(new Problem("changes", "At most 10 changes of " + LONGEST + " letters."));
        }
        if (form.value() < 1 || form.value() > 3) {
            problems.add(new Problem("value", "1 to 3."));
        }
        Stream.of(form.cold(), form.hot(), form.fuel(), form.driver(), form.air(), form.track())
                .filter(t -> t != null && t.length() > LONGEST)
                .findFirst()
                .ifPresent(t -> problems.add(new Problem("cold", "At most " + LONGEST + " letters a field.")));
        if (form.words() != null && form.words().length() > LONGEST_WORDS) {
            problems.add(new Problem("words", "At most " + LONGEST_WORDS + " letters."));
        }
        try {
            LapTime.readAll(form.laps() == null ? "" : form.laps());
        } catch (IllegalArgumentException wrong) {
            problems.add(new Problem("laps", String.valueOf(wrong.getMessage())));
        }
        ValidationException.throwIfAny(problems);
    }

    /** What the sheets on paper are made of. */
    record Sheets(EventResponse event, String car, List<TestDayResponse.TestRunResponse> runs) {}

    @AnyHand
    Sheets sheets(String event, String build) {
        return new Sheets(events.get(event), car(event, build), record.runs(event, build));
    }
}
