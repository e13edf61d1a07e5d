package galecrest.core.rescue;

import galecrest.core.people.PersonId;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.core.work.Link;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Moves in words. */
public final class MoveText {
    private MoveText() {}

    /** The moves in words; the same extra shift of several people is said once. */
    public static List<String> say(ShopSnapshot shop, List<Move> moves) {
        Set<String> all = new LinkedHashSet<>();
        for (Move move : moves) {
            if (move instanceof Move.ExtraShift shift) {
                all.add(sayShift(
                        shop,
                        shift,
                        moves.stream()
                                .filter(m -> m instanceof Move.ExtraShift other
                                        && other.day().equals(shift.day())
                                        && other.from().equals(shift.from())
                                        && other.to().equals(shift.to()))
                                .map(m -> ((Move.ExtraShift) m).person())
                                .toList()));
            } else {
                all.add(say(shop, move));
            }
        }
        return List.copyOf(all);
    }

    private static String say(ShopSnapshot shop, Move move) {
        ReasonText words = new ReasonText(shop);
        if (move instanceof Move.Expedite m) {
            return "Have " + words.part(m.part()) + " sent express, or fetch it";
        } else if (move instanceof Move.AskEarlier m) {
            return "Ask for " + words.work(m.outwork()) + " to be done sooner, at its best time";
        } else if (move instanceof Move.SecondHand m) {
            return "Lend a second hand to " + words.work(m.job());
        } else if (move instanceof Move.StartAtRisk m) {
            Link link = shop.links().stream()
                    .filter(l -> l.id().equals(m.link()))
                    .findFirst()
                    .orElseThrow();
            return "Start " + words.work(link.then()) + " at risk, before " + words.work(link.first()) + " is certain";
        } else if (move instanceof Move.InterimFix m) {
            return "Go on without " + words.part(m.part()) + " for now, to be made good later";
        } else if (move instanceof Move.LetFollow m) {
            return "Let all that can follow wait until " + words.time(m.until());
        } else if (move instanceof Move.Park m) {
            return "Leave " + words.build(m.build()) + " alone until " + words.time(m.until());
        }
        Move.SwapEvent m = (Move.SwapEvent) move;
        return "Go a week later in place of "
                + shop.commitments().stream()
                        .filter(c -> c.id().equals(m.commitment()))
                        .map(Commitment::name)
                        .findFirst()
                        .orElse("this");
    }

    private static String sayShift(ShopSnapshot shop, Move.ExtraShift shift, List<PersonId> people) {
        ReasonText words = new ReasonText(shop);
        Instant from = shift.day().atTime(shift.from()).atZone(shop.zone()).toInstant();
        return "An extra shift for "
                + people.stream().map(words::person).collect(Collectors.joining(" and ")) + ", " + words.day(from)
                + ", " + shift.from() + " to " + shift.to();
    }
}
