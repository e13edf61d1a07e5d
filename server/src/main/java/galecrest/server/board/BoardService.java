package galecrest.server.board;

import galecrest.server.access.AnyHand;
import galecrest.server.access.Who;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.BadInput;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Puts the board together from the record and the plan. */
@Service
public class BoardService {
    private final PlanService plans;
    private final BoardRepository record;
    private final Who who;
    private @Nullable Board known;

    BoardService(PlanService plans, BoardRepository record, Who who) {
        this.plans = plans;
        this.record = record;
        this.who = who;
    }

    /** The board of this moment. */
    @AnyHand
    public synchronized Board board() {
        PlanService.Current current = plans.current();
        Board last = known;
        if (last != null
                && last.change() == current.change()
                && last.now().equals(current.shop().now())) {
            return last;
        }
        Board fresh = new BoardAssembly(current, plans, record).board();
        known = fresh;
        return fresh;
    }

    /** What a hand has on: going on now, next today and tomorrow, later. */
    @AnyHand
    public MyDay myDay(@Nullable String person) {
        Board board = board();
        String mine = person != null ? person : who.account().personId();
        Board.PersonView me = board.people().stream()
                .filter(p -> p.id().equals(mine))
                .findFirst()
                .orElseThrow(() -> new BadInput("person", "This account belongs to nobody on the list of people."));
        LocalDate tomorrow = board.now()
                .atZone(java.time.ZoneId.of(board.zone()))
                .toLocalDate()
                .plusDays(1);
        List<String> now = new ArrayList<>();
        List<String> next = new ArrayList<>();
        List<String> later = new ArrayList<>();
        board.works().stream()
                .filter(w -> w.placed() != null && w.placed().crew().contains(me.id()))
                .sorted(Comparator.comparing((Board.WorkView w) -> w.placed().start())
                        .thenComparing(Board.WorkView::id))
                .forEach(w -> {
                    LocalDate day = w.placed()
                            .start()
                            .atZone(java.time.ZoneId.of(board.zone()))
                            .toLocalDate();
                    boolean going = w.job() != null && w.job().startedBy().contains(me.id()) && w.hold() == null;
                    (going ? now : day.isAfter(tomorrow) ? later : next).add(w.id());
                });
        return new MyDay(me.id(), now, next, later.stream().limit(12).toList());
    }

    /** Works of a hand, by id. */
    public record MyDay(String personId, List<String> now, List<String> next, List<String> later) {}
}
