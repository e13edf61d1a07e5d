package galecrest.server.myday;

import galecrest.core.people.PersonId;
import galecrest.core.people.WorkingDay;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.ReasonText;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.Role;
import galecrest.server.board.Board;
import galecrest.server.board.BoardService;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What a hand has on, and what became of it since it was last told. */
@Service
public class MyDayService {
    private final BoardService boards;
    private final PlanService plans;
    private final CurrentUser who;

    MyDayService(BoardService boards, PlanService plans, CurrentUser who) {
        this.boards = boards;
        this.plans = plans;
        this.who = who;
    }

    /** What a hand has on: going on now, next up to the end of its next day at work, later. */
    @AnyHand
    public MyDayResponse myDay(@Nullable String person) {
        Board board = boards.board();
        String mine = who.account().personId();
        if (person != null && !person.equals(mine)) {
            who.mustNotBe(Role.HAND);
            mine = person;
        }
        String whose = mine;
        Board.PersonView me = board.people().stream()
                .filter(p -> p.id().equals(whose))
                .findFirst()
                .orElseThrow(() ->
                        new ValidationException("person", "This account belongs to nobody on the list of people."));
        ZoneId zone = ZoneId.of(board.zone());
        LocalDate lastDay = nextDayIn(new PersonId(me.id()), board.now(), zone);
        List<String> now = new ArrayList<>();
        List<String> next = new ArrayList<>();
        List<String> later = new ArrayList<>();
        board.works().stream()
                .filter(w -> w.placed() != null && w.placed().crew().contains(me.id()))
                .sorted(Comparator.comparing((Board.WorkView w) -> w.placed().start())
                        .thenComparing(Board.WorkView::id))
                .forEach(w -> {
                    LocalDate day = w.placed().start().atZone(zone).toLocalDate();
                    boolean going = w.job() != null && w.job().startedBy().contains(me.id()) && w.hold() == null;
                    (going ? now : day.isAfter(lastDay) ? later : next).add(w.id());
                });
        PlanService.News news = plans.newsFor(who.account().username());
        return new MyDayResponse(
                me.id(),
                now,
                next,
                later.stream().limit(12).toList(),
                lastDay.atStartOfDay(zone).toInstant(),
                news.publishedAt().orElse(null),
                news.difference().map(d -> changes(d, me.id())).orElse(List.of()));
    }

    /** The next day on which a person is in: of a Friday evening that is Monday. Tomorrow for whom no hours are known. */
    private LocalDate nextDayIn(PersonId person, Instant now, ZoneId zone) {
        LocalDate today = now.atZone(zone).toLocalDate();
        return plans.current().shop().people().stream()
                .filter(p -> p.id().equals(person))
                .findFirst()
                .flatMap(p -> WorkingDay.after(p, today, zone))
                .orElse(today.plusDays(1));
    }

    /** What moved for a person. */
    private List<DayChange> changes(PlanDifference difference, String person) {
        var shop = plans.current().shop();
        ReasonText words = new ReasonText(shop);
        PersonId id = new PersonId(person);
        return difference.moved().stream()
                .filter(m -> m.concerns().contains(id))
                .map(m -> new DayChange(
                        m.work().value(), m.before().orElse(null), m.after().orElse(null), words.moved(m)))
                .toList();
    }

    /** The hand has seen what is published. */
    @AnyHand
    public void looked() {
        plans.markSeen(who.account().username());
    }
}
