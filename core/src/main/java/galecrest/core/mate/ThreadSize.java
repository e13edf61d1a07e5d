package galecrest.core.mate;

import galecrest.core.units.Lengths;

/**
 * A screw thread of a standard series.
 *
 * @param series the series it belongs to
 * @param name as it is called: {@code M12×1.25}, {@code 3/4-16}
 * @param diameter major diameter, mm
 * @param pitch mm
 */
public record ThreadSize(Series series, String name, double diameter, double pitch) {
    /** A family of threads with one profile of 60°. */
    public enum Series {
        /** ISO 261. */
        METRIC,
        /** ASME B1.1. */
        UNIFIED
    }

    public ThreadSize {
        if (!(diameter > 0 && pitch > 0 && pitch < diameter)) {
            throw new IllegalArgumentException(
                    "A thread of " + diameter + " mm with a pitch of " + pitch + " mm is none. Were they swapped?");
        }
    }

    /** Whether an external thread of this size screws into an internal one of that. */
    public boolean sameAs(ThreadSize other) {
        return series == other.series
                && Math.abs(diameter - other.diameter) < 0.01
                && Math.abs(pitch - other.pitch) < 0.001;
    }

    /**
     * The stress area of an external thread, mm². Metric: ISO 898-1, π/4·(d − 0.9382·P)²; unified: ASME B1.1,
     * π/4·(d − 0.9743·P)².
     */
    public double stressArea() {
        double d = diameter - (series == Series.METRIC ? 0.938194 : 0.9743) * pitch;
        return Math.PI / 4 * d * d;
    }

    /** By how much another differs, in words. */
    String differs(ThreadSize other) {
        double wider = other.diameter - diameter;
        double steeper = other.pitch - pitch;
        if (Math.abs(wider) < 0.4 && Math.abs(steeper) < 0.25 && series != other.series) {
            return "they look alike and differ by " + Lengths.say(Math.abs(wider)) + " in diameter and "
                    + Lengths.say(Math.abs(steeper)) + " in pitch: it would start, bind and strip";
        }
        if (Math.abs(wider) < 0.01) {
            return "same diameter, but the pitch differs by " + Lengths.say(Math.abs(steeper))
                    + ": it would start and strip";
        }
        return "the diameters differ by " + Lengths.say(Math.abs(wider));
    }
}
