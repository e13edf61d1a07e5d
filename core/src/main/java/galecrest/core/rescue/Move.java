package galecrest.core.rescue;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.people.PersonId;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.LinkId;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;

/** Something that the manager could do to win a date back. What it changes in the shop is made by {@link MoveEffects}. */
public sealed interface Move {
    /** Have a part sent by the fastest way, or fetch it: it comes at its earliest date, at the likely one at the latest. */
    record Expedite(PartId part) implements Move {}

    /** Ask the outside firm to take it, or have it ready, sooner: its best time becomes the likely one. */
    record AskEarlier(WorkId outwork) implements Move {}

    /** An extra shift for one person on one day. */
    record ExtraShift(PersonId person, LocalDate day, LocalTime from, LocalTime to) implements Move {}

    /** Lend a second hand to a job that one does: it takes 60 % of the time (common practice: two are not twice as fast). */
    record SecondHand(WorkId job) implements Move {}

    /** Start before what it depends on is certain. */
    record StartAtRisk(LinkId link) implements Move {}

    /** Go on without the part, with what is at hand, to be made good later. */
    record InterimFix(PartId part) implements Move {}

    /** Let work that can follow wait until the date is past. */
    record LetFollow(CommitmentId commitment, Instant until) implements Move {}

    /** Leave another build alone until the date is past. */
    record Park(BuildId build, Instant until) implements Move {}

    /** Go to a later event, a week on, in place of this one. */
    record SwapEvent(CommitmentId commitment) implements Move {}
}
