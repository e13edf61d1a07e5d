package galecrest.core.gauge.chassis;

/**
 * Toe, thrust and offset from strings along both sides of a car.
 *
 * <p>At each wheel the string is some way from the rim, at the front and at the rear of it. With d the distance of the two
 * points on the rim, toe = asin((front − rear) / d): positive is toe-in, the front of the wheel points to the middle of the
 * car. 2.0 mm over a rim of 431.8 mm (17 in) are 0.2654°.
 *
 * <p>Strings that were not set parallel to the car are corrected where the tracks are known: with both wheels' distances
 * the axle's middle lies where it lies between the strings, the line through both middles is that of the car, and each
 * string's angle to it is taken from each toe. Geometry of small angles; no source needed.
 *
 * @param front string to the front of each rim, m, in the order of {@link Corner}
 * @param rear string to the rear of each rim, m
 * @param across distance of the two points on each rim, m
 */
public record StringAlignment(double[] front, double[] rear, double[] across) {
    /** The angle of one wheel to its string, rad. */
    public double toe(int corner) {
        return Math.asin((front[corner] - rear[corner]) / across[corner]);
    }

    /** String to the middle of the wheel, m. */
    public double middle(int corner) {
        return (front[corner] + rear[corner]) / 2;
    }

    /**
     * By how much the axle behind lies to the left of the one in front, as the strings have it, m. Both strings as far from
     * one another in front as behind, the car is then crooked between them, or its axles are.
     */
    public double axleOffset() {
        return (middle(3) - middle(2)) / 2 - (middle(1) - middle(0)) / 2;
    }

    /**
     * The angle of each string to the line through the middles of both axles, rad, positive where it opens to the front.
     *
     * @param tracks of the front and the rear axle between the points that are measured to, m
     */
    public double[] stringAngles(double wheelbase, double frontTrack, double rearTrack) {
        double left = (frontTrack / 2 + middle(0) - rearTrack / 2 - middle(2)) / wheelbase;
        double right = (frontTrack / 2 + middle(1) - rearTrack / 2 - middle(3)) / wheelbase;
        return new double[] {Math.atan(left), Math.atan(right)};
    }

    /** The toe of each wheel to strings at such angles to the car, rad. */
    public double[] toes(double[] stringAngles) {
        double[] toes = new double[across.length];
        for (int i = 0; i < toes.length; i++) {
            toes[i] = toe(i) - stringAngles[i % 2];
        }
        return toes;
    }

    /** The direction in which the rear axle points the car, rad; positive to the right. */
    public static double thrust(double[] toes) {
        return (toes[2] - toes[3]) / 2;
    }
}
