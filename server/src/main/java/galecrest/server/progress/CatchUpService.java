package galecrest.server.progress;

import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.WorkingDay;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Problem;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.time.Span;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.work.WorkRepository;
import galecrest.server.work.WorkSummary;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Catching up: who did what on a day that is past, credited to whom did it and at the time it happened. */
@Service
public class CatchUpService {
    /** Nobody works longer in a day. */
    private static final int MOST_A_DAY = 16 * 60;
    /** What is older is history. */
    private static final int MOST_DAYS_BACK = 62;

    private static final Minutes LEAST_LEFT = Minutes.of(15);

    private final HappenedRepository happened;
    private final WorkRepository works;
    private final ProgressService progress;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    CatchUpService(
            HappenedRepository happened,
            WorkRepository works,
            ProgressService progress,
            PlanService plans,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.happened = happened;
        this.works = works;
        this.progress = progress;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    /** The day, or the last one before today on which anybody was in. A hand sees its own. */
    @AnyHand
    CatchUpResponse day(@Nullable LocalDate asked) {
        PlanService.Current now = plans.current();
        ShopSnapshot shop = now.shop();
        LocalDate day = asked == null ? lastBefore(shop, today(shop)) : asked;
        Span whole = whole(day, shop.zone());
        Map<String, List<HappenedRepository.WorkedRow>> worked = happened.worked(whole.from(), whole.to()).stream()
                .collect(Collectors.groupingBy(HappenedRepository.WorkedRow::personId));
        Map<String, Work> all =
                shop.works().stream().collect(Collectors.toMap(w -> w.id().value(), Function.identity()));
        return new CatchUpResponse(
                day,
                lastBefore(shop, day),
                shop.people().stream()
                        .filter(p -> isMine(p.id().value()))
                        .map(p -> personDay(shop, all, p, day, worked.getOrDefault(p.id().value(), List.of())))
                        .toList());
    }

    private CatchUpResponse.PersonDay personDay(
            ShopSnapshot shop,
            Map<String, Work> all,
            Person person,
            LocalDate day,
            List<HappenedRepository.WorkedRow> worked) {
        Map<String, Integer> planned = shop.published()
                .map(told -> planned(told, all, person.id(), whole(day, shop.zone())))
                .orElse(Map.of());
        List<String> written =
                worked.stream().map(HappenedRepository.WorkedRow::workId).toList();
        return new CatchUpResponse.PersonDay(
                person.id().value(),
                (int) in(person, day, shop.zone()),
                worked.stream()
                        .map(w -> new CatchUpResponse.Written(w.id(), w.workId(), w.minutes(), w.at()))
                        .toList(),
                planned.entrySet().stream()
                        .filter(e -> !written.contains(e.getKey()))
                        .map(e -> new CatchUpResponse.Planned(e.getKey(), e.getValue()))
                        .toList());
    }

    /** Minutes by job that the person was told to work in that time, of what is not finished. */
    private static Map<String, Integer> planned(Plan told, Map<String, Work> all, PersonId person, Span day) {
        Map<String, Integer> minutes = new TreeMap<>();
        for (Plan.Placed placed : told.placed()) {
            Work work = all.get(placed.work().value());
            if (!(work instanceof Job)
                    || work.status() == Status.DONE
                    || !placed.crew().contains(person)) {
                continue;
            }
            long inDay = placed.at().stream().mapToLong(s -> overlap(s, day)).sum();
            if (inDay > 0) {
                minutes.put(placed.work().value(), (int) inDay);
            }
        }
        return minutes;
    }

    private static long overlap(Span a, Span b) {
        Instant from = a.from().isAfter(b.from()) ? a.from() : b.from();
        Instant to = a.to().isBefore(b.to()) ? a.to() : b.to();
        return Math.max(0, Duration.between(from, to).toMinutes());
    }

    private static long in(Person person, LocalDate day, ZoneId zone) {
        return WorkingDay.of(person, day, zone).stream()
                .mapToLong(s -> Duration.between(s.from(), s.to()).toMinutes())
                .sum();
    }

    private LocalDate today(ShopSnapshot shop) {
        return LocalDate.ofInstant(clock.instant(), shop.zone());
    }

    private static LocalDate lastBefore(ShopSnapshot shop, LocalDate day) {
        for (int back = 1; back < MOST_DAYS_BACK; back++) {
            LocalDate earlier = day.minusDays(back);
            if (shop.people().stream().anyMatch(p -> in(p, earlier, shop.zone()) > 0)) {
                return earlier;
            }
        }
        return day.minusDays(1);
    }

    private static Span whole(LocalDate day, ZoneId zone) {
        return new Span(
                day.atStartOfDay(zone).toInstant(),
                day.plusDays(1).atStartOfDay(zone).toInstant());
    }

    private boolean isMine(String person) {
        return who.account().role() != Role.HAND || person.equals(who.account().personId());
    }

    /** What the lines of one request come to for one job. */
    private static final class Told {
        private int minutes;
        private boolean done;
        private @Nullable Integer left;
        private Instant last = Instant.EPOCH;
    }

    /** Writes down what was done; the same line sent twice counts once. */
    @AnyHand
    public void write(CatchUpRequest form) {
        journal.judge(() -> {
            ShopSnapshot shop = plans.shopWithinChange();
            dayMustBePast(form.day(), shop);
            Map<String, Told> told = new LinkedHashMap<>();
            for (int i = 0; i < form.lines().size(); i++) {
                write(shop, form.day(), form.lines().get(i), "lines." + i, told);
            }
            tooMuch(shop, form.day());
            told.forEach((work, what) -> settle(shop, work, what));
            return told.isEmpty() ? null : said(form, told.size());
        });
    }

    /** A job that those people have done together today in that time, within the change that is open. */
    public void doneToday(String work, List<String> people, Minutes took) {
        LocalDate today = today(plans.shopWithinChange());
        write(new CatchUpRequest(
                today, List.of(new CatchUpRequest.DoneLine(work, people, (int) took.value(), null, true, null))));
    }

    private String said(CatchUpRequest form, int jobs) {
        CatchUpRequest.DoneLine first = form.lines().get(0);
        return jobs == 1
                ? works.mustBe(first.workId()).name() + ", " + DurationText.of(Minutes.of(first.minutes())) + " on "
                        + form.day() + (first.done() ? ", done" : "")
                : "caught up " + jobs + " jobs of " + form.day();
    }

    private void dayMustBePast(LocalDate day, ShopSnapshot shop) {
        LocalDate today = today(shop);
        if (day.isAfter(today)) {
            throw new ValidationException("day", "That day is still to come.");
        }
        if (day.isBefore(today.minusDays(MOST_DAYS_BACK))) {
            throw new ValidationException("day", "That is more than two months ago.");
        }
    }

    /** What is written down already is passed over. */
    private void write(
            ShopSnapshot shop, LocalDate day, CatchUpRequest.DoneLine line, String field, Map<String, Told> told) {
        WorkSummary head = works.mustBe(line.workId());
        ValidationException.throwIfAny(problems(line, head, field));
        Span whole = whole(day, shop.zone());
        List<HappenedRepository.WorkedRow> there = happened.worked(whole.from(), whole.to());
        for (String id : line.people()) {
            Person person = shop.people().stream()
                    .filter(p -> p.id().value().equals(id))
                    .findFirst()
                    .orElseThrow(() -> new NotFoundException("person"));
            Instant at = at(person, day, line, shop.zone());
            clockMustNotRun(shop, head, person, at, field);
            boolean again = there.stream()
                    .anyMatch(w -> w.caughtUp()
                            && w.workId().equals(head.id())
                            && w.personId().equals(id)
                            && w.minutes() == line.minutes());
            boolean open = !head.status().equals("DONE");
            if (!again) {
                happened.caughtUp(head.id(), id, line.minutes(), at);
            }
            if (!again || line.done() && open) {
                Told what = told.computeIfAbsent(head.id(), w -> new Told());
                what.minutes += again ? 0 : line.minutes();
                what.done |= line.done();
                what.left = line.leftMinutes() == null ? what.left : line.leftMinutes();
                what.last = at.isAfter(what.last) ? at : what.last;
            }
        }
    }

    /** The job is done, or so much shorter as the hands that it takes have worked on it. */
    private void settle(ShopSnapshot shop, String id, Told what) {
        Job job = job(shop, id).filter(j -> j.status() != Status.DONE).orElse(null);
        if (job == null) {
            return;
        }
        if (what.done) {
            progress.doneAt(id, what.last);
            return;
        }
        long by = job.toDo().value() - what.minutes / Math.max(1, job.crew().size());
        Minutes left = what.left != null ? Minutes.of(what.left) : Minutes.of(Math.max(LEAST_LEFT.value(), by));
        boolean goesOn = job.started().filter(s -> !s.by().isEmpty()).isPresent();
        if (!goesOn) {
            happened.left(id, left, what.last);
        } else if (what.left != null) {
            happened.leftAsItGoesOn(id, left);
        }
    }

    private List<Problem> problems(CatchUpRequest.DoneLine line, WorkSummary head, String field) {
        List<Problem> problems = new ArrayList<>();
        if (!head.kind().equals("JOB")) {
            problems.add(new Problem(field, head.name() + " is no job of the shop."));
        }
        if (line.people().isEmpty()) {
            problems.add(new Problem(field, "Who did " + head.name() + "?"));
        }
        if (line.minutes() < 1 || line.minutes() > MOST_A_DAY) {
            problems.add(new Problem(field, "How long did " + head.name() + " take? 1 min to 16 h in a day."));
        }
        if (line.leftMinutes() != null && line.leftMinutes() < 1) {
            problems.add(
                    new Problem(field, "What is left of " + head.name() + " is more than nothing, or it is done."));
        }
        if (!line.people().stream().allMatch(this::isMine)) {
            problems.add(new Problem(field, "You can write down your own hours; a lead writes those of others."));
        }
        return problems;
    }

    /** When the person left it: as said, or at the end of the day's shift, and never ahead of now. */
    private Instant at(Person person, LocalDate day, CatchUpRequest.DoneLine line, ZoneId zone) {
        Instant now = clock.instant();
        List<Span> in = WorkingDay.of(person, day, zone);
        Instant end = line.until() != null
                ? day.atTime(line.until()).atZone(zone).toInstant()
                : in.isEmpty()
                        ? day.atTime(17, 0).atZone(zone).toInstant()
                        : in.get(in.size() - 1).to();
        return end.isAfter(now) ? now : end;
    }

    /** Whose clock runs on a job has those hours written down by it. */
    private static void clockMustNotRun(ShopSnapshot shop, WorkSummary head, Person person, Instant at, String field) {
        job(shop, head.id())
                .flatMap(Job::started)
                .filter(s -> s.by().contains(person.id()) && s.at().isBefore(at))
                .ifPresent(s -> {
                    throw new ValidationException(
                            field,
                            person.name() + " is on " + head.name()
                                    + " since then: the hours are counted when it is paused or done.");
                });
    }

    private static Optional<Job> job(ShopSnapshot shop, String id) {
        return shop.works().stream()
                .filter(w -> w.id().value().equals(id) && w instanceof Job)
                .map(w -> (Job) w)
                .findFirst();
    }

    private void tooMuch(ShopSnapshot shop, LocalDate day) {
        Span whole = whole(day, shop.zone());
        Map<String, Integer> minutes = happened.worked(whole.from(), whole.to()).stream()
                .collect(Collectors.groupingBy(
                        HappenedRepository.WorkedRow::personId,
                        Collectors.summingInt(HappenedRepository.WorkedRow::minutes)));
        for (Person person : shop.people()) {
            int all = minutes.getOrDefault(person.id().value(), 0);
            if (all > MOST_A_DAY) {
                throw new ValidationException(
                        "lines", person.name() + " would have " + DurationText.of(Minutes.of(all)) + " on one day.");
            }
        }
    }

    /** Takes back hours that were wrong. */
    @LeadOrManager
    void strike(String id) {
        journal.change("struck hours that were wrong", () -> {
            if (!happened.deleteWorked(id)) {
                throw new NotFoundException("hours");
            }
        });
    }
}
