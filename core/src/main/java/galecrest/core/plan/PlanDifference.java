package galecrest.core.plan;

import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.WorkingDay;
import galecrest.core.time.Minutes;
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
import java.util.Set;
import java.util.TreeSet;

/**
 * What differs between two plans.
 *
 * @param moved work that starts at another time or has another crew
 * @param margins commitments whose margin changed: those that are late now before the others, of each the greatest loss
 *     first
 * @param concerned people for whom something moved, whenever
 */
public record PlanDifference(List<Moved> moved, List<MarginChange> margins, Set<PersonId> concerned) {
    /**
     * Work that moved; a start is empty where the work was or is not in the plan.
     *
     * @param concerns who did it before and who does it now
     */
    public record Moved(
            WorkId work, Optional<Instant> before, Optional<Instant> after, boolean otherCrew, Set<PersonId> concerns) {
        private boolean isBefore(Instant end) {
            return before.map(end::isAfter).orElse(false)
                    || after.map(end::isAfter).orElse(false);
        }
    }

    /** A changed margin; empty where the commitment is new, gone, or cannot be planned. */
    public record MarginChange(CommitmentId commitment, Optional<Minutes> before, Optional<Minutes> after) {
        private static final Comparator<MarginChange> WORST_FIRST = Comparator.comparing(
                        (MarginChange m) -> m.after().map(a -> a.value() >= 0).orElse(false))
                .thenComparing(MarginChange::gain);

        private long gain() {
            return after.map(Minutes::value).orElse(0L)
                    - before.map(Minutes::value).orElse(0L);
        }
    }

    /** Who must be told: for whom something changes today or on the next day at work. The rest is read in time. */
    public Set<PersonId> toTell(ShopSnapshot shop) {
        LocalDate today = LocalDate.ofInstant(shop.now(), shop.zone());
        Set<PersonId> told = new TreeSet<>();
        for (Person person : shop.people()) {
            if (concerned.contains(person.id())) {
                Instant end = WorkingDay.after(person, today, shop.zone())
                        .orElse(today)
                        .plusDays(1)
                        .atStartOfDay(shop.zone())
                        .toInstant();
                if (moved.stream().anyMatch(m -> m.concerns().contains(person.id()) && m.isBefore(end))) {
                    told.add(person.id());
                }
            }
        }
        return told;
    }

    /** What differs from one plan to another of the same shop. */
    public static PlanDifference between(Plan before, Plan after) {
        Map<WorkId, Plan.Placed> old = before.byWork();
        List<Moved> moved = new ArrayList<>();
        Set<PersonId> concerned = new TreeSet<>();
        for (Plan.Placed now : after.placed()) {
            Plan.Placed was = old.remove(now.work());
            boolean otherCrew = was == null || !Set.copyOf(was.crew()).equals(Set.copyOf(now.crew()));
            if (otherCrew || !was.start().equals(now.start())) {
                Set<PersonId> concerns = new TreeSet<>(now.crew());
                Optional.ofNullable(was).ifPresent(w -> concerns.addAll(w.crew()));
                moved.add(new Moved(
                        now.work(),
                        Optional.ofNullable(was).map(Plan.Placed::start),
                        Optional.of(now.start()),
                        was != null && otherCrew,
                        concerns));
                concerned.addAll(concerns);
            }
        }
        for (Plan.Placed gone : old.values()) {
            moved.add(new Moved(
                    gone.work(), Optional.of(gone.start()), Optional.empty(), false, Set.copyOf(gone.crew())));
            concerned.addAll(gone.crew());
        }
        return new PlanDifference(List.copyOf(moved), margins(before, after), concerned);
    }

    private static List<MarginChange> margins(Plan before, Plan after) {
        Map<CommitmentId, Plan.Outlook> old = new HashMap<>();
        before.outlooks().forEach(o -> old.put(o.commitment(), o));
        List<MarginChange> changes = new ArrayList<>();
        for (Plan.Outlook now : after.outlooks()) {
            Optional<Minutes> was =
                    Optional.ofNullable(old.remove(now.commitment())).flatMap(Plan.Outlook::margin);
            if (!was.equals(now.margin())) {
                changes.add(new MarginChange(now.commitment(), was, now.margin()));
            }
        }
        changes.sort(MarginChange.WORST_FIRST);
        return changes;
    }
}
