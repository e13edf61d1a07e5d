package galecrest.server.mate;

import galecrest.core.mate.JointSideParser;
import galecrest.core.mate.MateKind;
import galecrest.core.mate.Mates;
import galecrest.core.mate.Verdict;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Judges the joints of a part as they are written down. */
public final class FitAssessment {
    private FitAssessment() {}

    public static MateView judged(String place, MateKind kind, String carSide, String partSide) {
        Verdict verdict;
        try {
            verdict = Mates.judge(kind, JointSideParser.read(kind, carSide), JointSideParser.read(kind, partSide));
        } catch (JointSideParser.Unreadable unreadable) {
            // Written down by other rules than today's: one such line must not keep the others from being read.
            verdict = new Verdict.Unknown(unreadable.getMessage());
        }
        FitOutcome outcome = verdict instanceof Verdict.Fits
                ? FitOutcome.FITS
                : verdict instanceof Verdict.NeedsAdapter
                        ? FitOutcome.NEEDS_ADAPTER
                        : verdict instanceof Verdict.DoesNotFit ? FitOutcome.DOES_NOT_FIT : FitOutcome.UNKNOWN;
        return new MateView(place, kind, carSide, partSide, outcome, verdict.sentence());
    }

    /** What holds an order: all sides that are unknown or do not fit. */
    public static Optional<String> held(List<MateView> mates) {
        String all = mates.stream()
                .filter(m -> m.outcome() != FitOutcome.FITS)
                .map(m -> m.place() + ": " + m.said())
                .collect(Collectors.joining(" "));
        return all.isEmpty() ? Optional.empty() : Optional.of(all);
    }

    /** The questions to a vendor, in plain words. */
    public static List<String> questions(List<MateView> mates) {
        return mates.stream()
                .filter(m -> m.outcome() == FitOutcome.UNKNOWN)
                .map(m -> m.place() + " (" + m.kind().label() + "): " + m.kind().question()
                        + (m.carSide().isBlank() ? "" : " Ours is " + m.carSide() + "."))
                .toList();
    }
}
