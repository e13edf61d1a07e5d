package galecrest.core.gauge.fabrication;

import java.util.List;

/**
 * How a branch tube is cut so that it sits on the tubes of a node.
 *
 * @param radius of the branch where it touches, m: the outside one for a thin wall, the inside one for a thick
 * @param mains the tubes that it meets
 */
public record Cope(double radius, List<Main> mains) {
    /**
     * A tube that the branch meets.
     *
     * @param radius outside, m
     * @param angle between the axes, radians, more than 0 and less than π
     * @param offset of the axes past each other, m
     * @param turned by how much about the axis of the branch, radians; the first tube is where 0 is marked
     */
    public record Main(double radius, double angle, double offset, double turned) {
        public Main {
            if (!(radius > 0) || !(angle > 0 && angle < Math.PI)) {
                throw new IllegalArgumentException(
                        "A tube has a radius, and its axis an angle between 0 and 180° to the branch.");
            }
        }

        /**
         * How far from the crossing of the axes the branch ends on this tube, m: (√(R² − (r sin φ + e)²) + r cos φ cos θ) / sin θ.
         * Minus infinity where it passes beside it.
         */
        double height(double branch, double at) {
            double phi = at - turned;
            double aside = branch * Math.sin(phi) + offset;
            double rest = radius * radius - aside * aside;
            return rest < 0
                    ? Double.NEGATIVE_INFINITY
                    : (Math.sqrt(rest) + branch * Math.cos(phi) * Math.cos(angle)) / Math.sin(angle);
        }
    }

    public Cope {
        mains = List.copyOf(mains);
        if (!(radius > 0) || mains.isEmpty()) {
            throw new IllegalArgumentException("A branch has a radius and meets at least one tube.");
        }
    }

    /** Where the branch ends at that angle about its axis, m from the crossing: on the tube that it meets first. */
    public double height(double at) {
        return mains.stream().mapToDouble(m -> m.height(radius, at)).max().orElseThrow();
    }
}
