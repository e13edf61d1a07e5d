package galecrest.core.insight;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A plan that is worth offering instead of the one that stands: what it wins, what it moves, whom to tell, from when.
 *
 * @param gain what it is worth, in weighted hours late at a promise; see {@link #gain(Score, Score)}
 * @param wins the dates that gain: those that are late now first, the nearest before the others; then by what they gain
 * @param losses the dates that give up some of their margin
 * @param moved what moves, the soonest first
 * @param from when the first of what moves was or is to start; empty where nothing moves
 * @param tell of each person, how many of their jobs move, most first
 */
public record BetterPlan(
        double gain,
        List<Won> wins,
        List<Won> losses,
        List<PlanDifference.Moved> moved,
        Optional<Instant> from,
        Map<PersonId, Integer> tell) {
    /** Less than that is not worth anybody's while: two hours late at a promise. */
    private static final double WORTH = 2;

    /** What a date has before and after; empty where it cannot be planned. */
    public record Won(CommitmentId commitment, Optional<Minutes> before, Optional<Minutes> after) {
        long minutes() {
            return after.map(Minutes::value).orElse(0L)
                    - before.map(Minutes::value).orElse(0L);
        }

        private boolean wasLate() {
            return before.map(b -> b.value() < 0).orElse(true);
        }
    }

    /** The better plan as an offer; empty where it is not worth moving anything for it. */
    public static Optional<BetterPlan> between(ShopSnapshot shop, Plan standing, Plan better) {
        double gain = gain(standing.score(), better.score());
        if (gain < WORTH || better.score().compareTo(standing.score()) >= 0) {
            return Optional.empty();
        }
        PlanDifference difference = PlanDifference.between(standing, better);
        List<PlanDifference.Moved> moved = difference.moved().stream()
                .sorted(Comparator.comparing(BetterPlan::first)
                        .thenComparing(m -> m.work().value()))
                .toList();
        Map<PersonId, Integer> tell = new TreeMap<>();
        moved.forEach(m -> m.concerns().forEach(p -> tell.merge(p, 1, Integer::sum)));
        Map<CommitmentId, Instant> due = new HashMap<>();
        shop.commitments().forEach(c -> due.put(c.id(), c.due()));
        List<Won> changed = new ArrayList<>();
        difference.margins().forEach(m -> changed.add(new Won(m.commitment(), m.before(), m.after())));
        return Optional.of(new BetterPlan(
                gain,
                changed.stream()
                        .filter(w -> w.minutes() > 0)
                        .sorted(Comparator.comparing((Won w) -> !w.wasLate())
                                .thenComparing(
                                        w -> w.wasLate() ? due.getOrDefault(w.commitment(), Instant.MAX) : Instant.MAX)
                                .thenComparing(Won::minutes, Comparator.reverseOrder()))
                        .toList(),
                changed.stream()
                        .filter(w -> w.minutes() < 0)
                        .sorted(Comparator.comparing(Won::minutes))
                        .toList(),
                moved,
                moved.stream().map(BetterPlan::first).findFirst(),
                tell));
    }

    private static boolean isToday(ShopSnapshot shop, Instant at) {
        LocalDate today = LocalDate.ofInstant(shop.now(), shop.zone());
        return !LocalDate.ofInstant(at, shop.zone()).isAfter(today);
    }

    private static Instant first(PlanDifference.Moved moved) {
        Instant before = moved.before().orElse(Instant.MAX);
        Instant after = moved.after().orElse(Instant.MAX);
        return before.isBefore(after) ? before : after;
    }

    /** What one score has over another, in weighted hours late at a promise; what cannot be planned counts as a week. */
    public static double gain(Score before, Score after) {
        return before.lateness() - after.lateness();
    }

    /** What it wins: "112 makes Rolling road slot with 6 h to spare"; "8 wins 3 h for Four hours of Crane Moor". */
    public String headline(ShopSnapshot shop) {
        if (wins.isEmpty()) {
            return "work is finished sooner and dates have more in hand";
        }
        Won most = wins.get(0);
        Commitment date = shop.commitments().stream()
                .filter(c -> c.id().equals(most.commitment()))
                .findFirst()
                .orElseThrow();
        String car = new ReasonText(shop).build(date.build());
        boolean saved = most.wasLate() && most.after().map(a -> a.value() >= 0).orElse(false);
        String others =
                wins.size() == 1 ? "" : ", and " + (wins.size() - 1) + " more " + plural(wins.size() - 1, "date");
        return saved
                ? car + " makes " + date.name() + " with "
                        + DurationText.of(most.after().orElseThrow()) + " to spare" + others
                : car + " wins " + DurationText.of(Minutes.of(most.minutes())) + " for " + date.name() + others;
    }

    /** What it costs: "9 jobs move, none before Mon 7 Dec: Kit 4, Bo 3. 34 gives up 3 h of Cage inspected." */
    public String detail(ShopSnapshot shop) {
        ReasonText words = new ReasonText(shop);
        StringBuilder text = new StringBuilder();
        text.append(moved.size())
                .append(' ')
                .append(plural(moved.size(), "job"))
                .append(moved.size() == 1 ? " moves" : " move");
        from.ifPresent(at -> text.append(isToday(shop, at) ? ", from today" : ", none before " + words.day(at)));
        if (!tell.isEmpty()) {
            List<String> people = new ArrayList<>();
            tell.entrySet().stream()
                    .sorted(Map.Entry.<PersonId, Integer>comparingByValue().reversed())
                    .forEach(e -> people.add(words.person(e.getKey()) + " " + e.getValue()));
            text.append(": ").append(String.join(", ", people));
        }
        text.append('.');
        Map<CommitmentId, Commitment> dates = new HashMap<>();
        shop.commitments().forEach(c -> dates.put(c.id(), c));
        losses.stream().limit(2).forEach(loss -> {
            Commitment date = dates.get(loss.commitment());
            if (date != null) {
                text.append(' ')
                        .append(words.build(date.build()))
                        .append(" gives up ")
                        .append(DurationText.of(Minutes.of(-loss.minutes())))
                        .append(" of ")
                        .append(date.name())
                        .append('.');
            }
        });
        return text.toString();
    }

    /** What moves, a line each, with its car. */
    public List<String> lines(ShopSnapshot shop) {
        ReasonText words = new ReasonText(shop);
        return moved.stream().map(words::moved).toList();
    }

    /** The works that move. */
    public List<WorkId> works() {
        return moved.stream().map(PlanDifference.Moved::work).toList();
    }

    private static String plural(int many, String what) {
        return many == 1 ? what : what + "s";
    }
}
