package galecrest.core.mate;

/**
 * What a bolt may be tightened to where nobody has said: three quarters of its proof load, and the torque for that by
 * T = K·d·F. The maker's figure always wins; K by lubrication is common practice and spreads by a third either way.
 */
public final class Bolts {
    private static final double SHARE_OF_PROOF = 0.75;
    private static final double THICK = 16;

    private Bolts() {}

    /** Property classes of ISO 898-1 for bolts, with their proof stress in MPa (table 3). */
    public enum PropertyClass {
        C4_8("4.8", 310, 310),
        C5_8("5.8", 380, 380),
        C8_8("8.8", 580, 600),
        C10_9("10.9", 830, 830),
        C12_9("12.9", 970, 970);

        private final String said;
        private final double upTo16;
        private final double above16;

        PropertyClass(String said, double upTo16, double above16) {
            this.said = said;
            this.upTo16 = upTo16;
            this.above16 = above16;
        }

        /** As it stands on the head. */
        public String label() {
            return said;
        }

        /** Proof stress for a diameter in mm, MPa. */
        double proof(double diameter) {
            return diameter > THICK ? above16 : upTo16;
        }
    }

    /** How the thread and the face under the head are, with the K of T = K·d·F; common practice. */
    public enum Lubrication {
        DRY(0.20),
        OILED(0.15),
        MOLY_PASTE(0.12);

        private final double k;

        Lubrication(double k) {
            this.k = k;
        }
    }

    /**
     * What comes out.
     *
     * @param stressArea mm²
     * @param proofLoad kN
     * @param preload kN, {@value #SHARE_OF_PROOF} of the proof load
     * @param torque Nm
     */
    public record Tightening(double stressArea, double proofLoad, double preload, double torque) {}

    /** How a steel bolt of a metric thread may be tightened; inch bolts have other grades than these classes. */
    public static Tightening of(ThreadSize thread, PropertyClass strength, Lubrication lubrication) {
        double proof = thread.stressArea() * strength.proof(thread.diameter()) / 1000;
        double preload = SHARE_OF_PROOF * proof;
        return new Tightening(thread.stressArea(), proof, preload, lubrication.k * thread.diameter() * preload);
    }
}
