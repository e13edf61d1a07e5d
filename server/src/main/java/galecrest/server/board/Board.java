package galecrest.server.board;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartState;
import galecrest.core.people.Level;
import galecrest.core.people.ShiftChange;
import galecrest.core.time.DateStyle;
import galecrest.core.work.Commitment;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Link;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Status;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The whole shop as the screens draw it: the record, the plan made of it and the reasons in words, at one moment.
 *
 * @param edition names this very board, of which a screen may ask what is new since
 * @param change the last change that is in it; a higher number is newer
 */
public record Board(
        String edition,
        long change,
        Instant now,
        String zone,
        DateStyle says,
        String shop,
        Draft draft,
        Brief brief,
        List<Car> cars,
        List<WorkView> works,
        List<LinkView> links,
        List<PartView> parts,
        List<CommitmentView> commitments,
        List<PersonView> people,
        List<StationView> stations,
        List<VendorView> vendors,
        List<PinView> pins,
        List<LoadView> loads,
        ScoreView score) {
    /** Makes another list of each list of a board. */
    interface Lists {
        <T> List<T> of(String name, Function<Board, List<T>> list, Function<T, String> key);
    }

    /** The same board with other lists. */
    Board withLists(Lists lists) {
        return new Board(
                edition,
                change,
                now,
                zone,
                says,
                shop,
                draft,
                brief,
                lists.of("cars", Board::cars, Car::id),
                lists.of("works", Board::works, WorkView::id),
                lists.of("links", Board::links, LinkView::id),
                lists.of("parts", Board::parts, PartView::id),
                lists.of("commitments", Board::commitments, CommitmentView::id),
                lists.of("people", Board::people, PersonView::id),
                lists.of("stations", Board::stations, StationView::id),
                lists.of("vendors", Board::vendors, VendorView::id),
                lists.of("pins", Board::pins, PinView::id),
                lists.of("loads", Board::loads, LoadView::key),
                score);
    }

    /** The same board, in which what is as it was is the very thing of the board before: remembered boards share it. */
    Board sharing(Board before) {
        return withLists(new Lists() {
            @Override
            public <T> List<T> of(String name, Function<Board, List<T>> list, Function<T, String> key) {
                Map<String, T> known = new HashMap<>();
                list.apply(before).forEach(t -> known.put(key.apply(t), t));
                List<T> shared = list.apply(Board.this).stream()
                        .map(t -> {
                            T was = known.get(key.apply(t));
                            return t.equals(was) ? was : t;
                        })
                        .toList();
                return shared.equals(list.apply(before)) ? list.apply(before) : shared;
            }
        });
    }

    /**
     * How the plan differs from what people were told.
     *
     * @param thawed work whose day is frozen but that could not stay as told, with the reason
     */
    public record Draft(
            @Nullable Instant publishedAt,
            @Nullable String publishedBy,
            int moved,
            List<String> toTell,
            List<String> thawed) {}

    /** What the manager wants to hear first in the morning. */
    public record Brief(
            int doneSinceYesterday,
            int changesSinceYesterday,
            List<String> arriving,
            List<String> away,
            List<CallView> calls,
            @Nullable String worryCar,
            @Nullable String worry) {}

    /** A promised call. */
    public record CallView(String id, String who, String about, Instant due) {}

    /** A build as a car on the floor. */
    public record Car(
            String id,
            String number,
            String name,
            String body,
            String customer,
            String discipline,
            double weight,
            int limitFront,
            int limitEngineBay,
            int limitCockpit,
            int limitUnderside,
            int limitRear,
            int version,
            boolean parked,
            @Nullable Instant parkedUntil,
            @Nullable String stationId,
            @Nullable String awayWorkId,
            @Nullable String awayAt,
            List<String> doing,
            @Nullable String next,
            @Nullable Held held,
            @Nullable String nextDate,
            List<GateView> gates,
            List<StageView> stages,
            List<RoundView> rounds,
            List<ForNowView> forNow,
            List<MeasurementView> measurements,
            List<RestrictionView> restrictions,
            int done,
            int total) {}

    /**
     * What holds a car: the word on the tag, and the reason in a sentence.
     *
     * @param needsSomebody whether a person must do something about it; else it waits its turn, or for its day
     */
    public record Held(
            String workId,
            ReasonTag tag,
            String said,
            @Nullable Instant until,
            boolean needsSomebody) {}

    public record StageView(
            String id, String name, @Nullable String roundId) {}

    /** A round of work, for a date and after another. */
    public record RoundView(
            String id,
            String name,
            @Nullable String dateId,
            @Nullable String afterId,
            int version) {}

    /**
     * What a car may not do.
     *
     * @param workId the job that lifts it
     */
    public record RestrictionView(
            String id,
            String text,
            String because,
            @Nullable String workId) {}

    public record ForNowView(String id, String what, String reason, Gate gate, Instant at) {}

    /**
     * What keeps the gate of a date shut.
     *
     * @param date what the date is called
     * @param open essential jobs and outside work up to it that are open
     * @param stale what must be measured anew, in that order
     * @param unplanned what of that no open job measures
     * @param missed what was measured and is not as it should be
     */
    public record GateView(
            Gate gate, String date, int open, List<String> stale, List<String> unplanned, List<String> missed) {}

    public record MeasurementView(
            String gauge,
            String what,
            String value,
            String by,
            Instant at,
            @Nullable String staleBecause,
            boolean missed) {}

    /** What kind of work it is. */
    public enum Kind {
        JOB,
        OUTWORK,
        RUNNING_IN
    }

    /** A piece of work with all that a form needs; {@code job}, {@code outwork} or {@code runningIn} by its kind. */
    public record WorkView(
            String id,
            String buildId,
            Kind kind,
            String name,
            @Nullable String stage,
            @Nullable String roundId,
            @Nullable String dateId,
            boolean afterDates,
            @Nullable String thereId,
            Gate gate,
            boolean essential,
            Status status,
            @Nullable Instant notBefore,
            @Nullable HoldView hold,
            @Nullable Instant doneAt,
            boolean doneBefore,
            String note,
            @Nullable String customerName,
            int version,
            @Nullable JobView job,
            @Nullable OutworkView outwork,
            @Nullable RunningInView runningIn,
            @Nullable PlacedView placed,
            @Nullable String cannot) {}

    public record HoldView(
            ReasonTag reason,
            String note,
            @Nullable Instant until,
            @Nullable String partId) {}

    public record JobView(
            Zone zone,
            boolean onCar,
            boolean wholeCar,
            int lowMinutes,
            int likelyMinutes,
            int highMinutes,
            int remainingMinutes,
            List<CrewPlace> crew,
            String stationKind,
            boolean oneGo,
            int cureMinutes,
            CureLock cureLock,
            int findPercent,
            int findMinutes,
            boolean finding,
            List<String> parts,
            List<String> startedBy,
            int overMinutes) {}

    public record OutworkView(
            String vendorId,
            boolean wholeCar,
            int outMinutes,
            @Nullable Instant slotFrom,
            @Nullable Instant slotTo,
            int lowDays,
            int likelyDays,
            int highDays,
            int backMinutes,
            int inspectionMinutes,
            @Nullable Instant awaySince,
            @Nullable Instant backLow,
            @Nullable Instant backLikely,
            @Nullable Instant backHigh) {}

    public record RunningInView(
            int distanceKm, int doneKm, int perDayKm, int perDayMinutes, String skill, boolean anyWeather) {}

    /** Where the plan has it. {@code said} is why it starts no sooner, in words. */
    public record PlacedView(
            Instant start,
            Instant end,
            Instant ready,
            List<Stretch> at,
            List<String> crew,
            @Nullable String stationId,
            boolean slotMissed,
            @Nullable ReasonTag tag,
            String said,
            @Nullable String blocker) {}

    public record Stretch(Instant from, Instant to) {}

    public record LinkView(
            String id,
            String firstId,
            String thenId,
            Link.Type type,
            int lagMinutes,
            boolean lagWorking,
            @Nullable Double riskChance,
            boolean usedAtRisk,
            String because) {}

    /**
     * A part line.
     *
     * @param here whether it is in the shop and accepted
     * @param toOrder whether it is still to be ordered, or again
     * @param expected when it comes, going by its vendor's record; the arrival is what was promised
     */
    public record PartView(
            String id,
            String buildId,
            String name,
            PartState state,
            boolean here,
            boolean toOrder,
            @Nullable String vendorId,
            @Nullable BigDecimal price,
            @Nullable Instant arrivalLow,
            @Nullable Instant arrivalLikely,
            @Nullable Instant arrivalHigh,
            @Nullable Instant expected,
            int inspectionMinutes,
            @Nullable String pairedWith,
            @Nullable String pairOverride,
            List<String> neededBy,
            int quantity,
            int received,
            boolean own,
            String specification,
            String kit,
            String tracking,
            int version) {}

    /**
     * A date and what the plan means for it.
     *
     * @param marginMinutes shop hours to spare, negative when late; empty where something due cannot be planned
     * @param chain the works that make it so, the last first
     * @param sentence the chain in words
     * @param slotOf the outside work whose booked time this is; it moves with the booking
     */
    public record CommitmentView(
            String id,
            String buildId,
            String name,
            Commitment.Kind kind,
            Instant due,
            Gate gate,
            double weight,
            int version,
            @Nullable Instant finish,
            @Nullable Long marginMinutes,
            List<String> chain,
            List<String> missing,
            String sentence,
            @Nullable String slotOf,
            @Nullable OutingView outing) {}

    /** What a date takes away from the shop until all are back: people and stations by their ids. */
    public record OutingView(Instant back, List<String> crew, List<String> takes) {}

    public record SkillView(String skill, Level level) {}

    public record HoursView(int day, LocalTime start, LocalTime end) {}

    public record ShiftChangeView(
            String id,
            ShiftChange.Kind kind,
            LocalDate from,
            LocalDate to,
            LocalTime start,
            LocalTime end,
            String note) {
        /** Why somebody is away is for those who plan. */
        ShiftChangeView withoutNote() {
            return new ShiftChangeView(id, kind, from, to, start, end, "");
        }
    }

    /** A person; {@code inNow} where within shifts at this moment. */
    public record PersonView(
            String id,
            String name,
            List<SkillView> skills,
            List<HoursView> shifts,
            List<ShiftChangeView> changes,
            @Nullable BigDecimal costPerHour,
            boolean inNow,
            int version) {}

    public record ClosureView(LocalDate from, LocalDate to, String reason) {}

    public record StationView(String id, String name, String kind, List<ClosureView> closures, int version) {}

    /**
     * An outside firm.
     *
     * @param deliveries how many of its deliveries are on record
     * @param usualSlipMinutes how late half of them were at least; absent without a record
     */
    public record VendorView(
            String id,
            String name,
            String trade,
            String phone,
            String email,
            int deliveries,
            @Nullable Long usualSlipMinutes,
            @Nullable Double believed,
            List<HoursView> hours,
            List<ClosureView> closures,
            List<OfferView> offers,
            List<TimeView> times,
            int version) {}

    /** A line of a vendor's price list, its lead time in the vendor's working days. */
    public record OfferView(String what, @Nullable BigDecimal price, int lowDays, int likelyDays, int highDays) {}

    /** A time that a vendor offers; {@code taken} where outside work is booked over it. */
    public record TimeView(String id, Instant from, Instant to, String note, boolean taken) {}

    /** Which pin; {@code broken} says why it cannot hold, where it cannot. */
    public record PinView(
            String id,
            String workId,
            PinKind kind,
            @Nullable String personId,
            @Nullable String stationId,
            @Nullable String firstId,
            @Nullable Instant at,
            @Nullable String broken) {}

    /** Kinds of pins. */
    public enum PinKind {
        PERSON,
        STATION,
        NOT_BEFORE,
        AFTER,
        EXACTLY
    }

    public record LoadView(
            @Nullable String personId,
            @Nullable String stationId,
            LocalDate day,
            int plannedMinutes,
            int thereMinutes,
            boolean away) {
        /** What tells it from the others; screens make the same of it. */
        String key() {
            return Objects.requireNonNullElse(personId, "") + " " + Objects.requireNonNullElse(stationId, "") + " "
                    + day;
        }
    }

    /** The score, broken down; see {@link galecrest.core.plan.Score}. */
    public record ScoreView(
            int missing,
            double hardLateness,
            double promisedLateness,
            double bufferEaten,
            double followLate,
            double atRisk,
            double churn,
            double carsInBits,
            double finishing) {}
}
