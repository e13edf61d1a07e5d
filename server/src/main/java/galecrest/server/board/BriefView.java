package galecrest.server.board;

import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What the manager wants to hear first in the morning. */
final class BriefView {
    private final BoardSource source;
    private final BoardRepository record;
    private final ShopSnapshot shop;
    private final ReasonText words;

    BriefView(BoardSource source) {
        this.source = source;
        record = source.record();
        shop = source.shop();
        words = source.words();
    }

    Board.Brief brief(List<Board.CommitmentView> commitments) {
        LocalDate today = source.day(shop.now());
        Instant yesterday = today.minusDays(1).atTime(12, 0).atZone(shop.zone()).toInstant();
        Instant tonight = today.plusDays(1).atStartOfDay(shop.zone()).toInstant();
        List<String> arriving = shop.parts().stream()
                .filter(p -> !p.state().here()
                        && shop.expected(p).isPresent()
                        && source.day(shop.expected(p).get().likely()).equals(today))
                .map(p -> p.name() + ", " + words.time(shop.expected(p).get().likely()))
                .toList();
        List<String> away = shop.people().stream()
                .filter(p -> p.changes().stream()
                        .anyMatch(c -> c.kind().takes()
                                && !c.to().isBefore(today)
                                && !c.from().isAfter(today.plusDays(7))))
                .map(p -> p.name() + " " + awayWhen(p, today))
                .toList();
        Optional<Board.CommitmentView> worry = commitments.stream()
                .filter(c -> c.due().isAfter(shop.now()))
                .min(Comparator.comparingDouble(BriefView::worry));
        return new Board.Brief(
                record.doneSince(yesterday),
                record.changesSince(yesterday),
                arriving,
                away,
                record.calls(tonight),
                worry.map(Board.CommitmentView::buildId).orElse(null),
                worry.map(c -> c.name()).orElse(null));
    }

    /** The less the more to worry about: hours late count the more, hours to spare the less, the more a date matters. */
    private static double worry(Board.CommitmentView date) {
        Long margin = date.marginMinutes();
        return margin == null ? Double.NEGATIVE_INFINITY : margin < 0 ? margin * date.weight() : margin / date.weight();
    }

    private String awayWhen(Person person, LocalDate today) {
        var leave = person.changes().stream()
                .filter(c -> c.kind().takes() && !c.to().isBefore(today))
                .min(Comparator.comparing(ShiftChange::from))
                .orElseThrow();
        Instant from = leave.from().atStartOfDay(shop.zone()).toInstant();
        LocalDate last = leave.to();
        for (ShiftChange next : person.changes()) {
            boolean goesOn = next.kind().takes() && !next.from().isAfter(last.plusDays(1));
            last = goesOn && next.to().isAfter(last) ? next.to() : last;
        }
        Instant back = last.plusDays(1).atStartOfDay(shop.zone()).toInstant();
        return leave.from().isAfter(today)
                ? words.day(from) + " to " + words.day(back.minusSeconds(60))
                : "until " + words.day(back.minusSeconds(60));
    }
}
