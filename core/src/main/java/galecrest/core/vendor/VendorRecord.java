package galecrest.core.vendor;

import galecrest.core.time.Arrival;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * How a firm has kept its word: what it promised against what came. Its next promise is corrected by it: by the usual
 * slip, weighed by how many deliveries there are to go by. With {@value #HALF_BELIEVED} deliveries half of it is
 * believed; that number is a judgement of ours.
 *
 * @param kept the latest deliveries
 */
public record VendorRecord(List<Kept> kept) {
    /** No record: promises are taken as they are. */
    public static final VendorRecord NONE = new VendorRecord(List.of());

    private static final int HALF_BELIEVED = 3;
    private static final double RARELY_LATER = 0.9;

    public VendorRecord {
        kept = List.copyOf(kept);
    }

    /** One delivery: the date that was promised first, and the date it came. */
    public record Kept(Instant promised, Instant real) {
        Duration slip() {
            return Duration.between(promised, real);
        }
    }

    public int sample() {
        return kept.size();
    }

    /** The slip that half of the deliveries stay below; zero without a record. */
    public Duration usualSlip() {
        return slip(0.5);
    }

    /** The slip that nine of ten deliveries stay below, by linear interpolation of the sorted slips. */
    public Duration badSlip() {
        return slip(RARELY_LATER);
    }

    private Duration slip(double share) {
        if (kept.isEmpty()) {
            return Duration.ZERO;
        }
        List<Duration> slips = kept.stream().map(Kept::slip).sorted().toList();
        double place = share * (slips.size() - 1);
        int below = (int) place;
        Duration low = slips.get(below);
        Duration high = slips.get(Math.min(below + 1, slips.size() - 1));
        return low.plusSeconds(Math.round((place - below) * high.minus(low).toSeconds()));
    }

    /** How much of the record is believed, 0 to 1. */
    public double weight() {
        return kept.size() / (double) (kept.size() + HALF_BELIEVED);
    }

    /** What a promise is worth: never sooner than promised, later by what the record teaches. */
    public Arrival correct(Arrival promise) {
        Duration likely = believed(usualSlip());
        Duration high = believed(badSlip());
        return new Arrival(
                promise.low(),
                promise.likely().plus(likely),
                promise.high().plus(high.compareTo(likely) > 0 ? high : likely));
    }

    private Duration believed(Duration slip) {
        return slip.isNegative() ? Duration.ZERO : Duration.ofMinutes(Math.round(slip.toMinutes() * weight()));
    }
}
