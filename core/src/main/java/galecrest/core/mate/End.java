package galecrest.core.mate;

/** One side of a joint. Lengths in mm. */
public sealed interface End {
    MateKind kind();

    /** Which of two goes into the other. */
    enum Sex {
        MALE,
        FEMALE;

        String label() {
            return this == MALE ? "male" : "female";
        }
    }

    /** How a fitting seals; a plain thread has no seat. */
    enum Seat {
        NONE,
        FLARE_37,
        FLARE_45
    }

    record Threaded(ThreadSize size, Sex sex, Seat seat) implements End {
        @Override
        public MateKind kind() {
            return MateKind.THREAD;
        }
    }

    /** @param bore centre bore or spigot, 0 where it does not matter */
    record BoltCircle(int holes, double circle, double bore) implements End {
        @Override
        public MateKind kind() {
            return MateKind.BOLT_CIRCLE;
        }
    }

    record Spline(int teeth, double outside, Sex sex) implements End {
        @Override
        public MateKind kind() {
            return MateKind.SPLINE;
        }
    }

    /** A bore (female) or a shaft (male) between its limits of size. */
    record Round(double least, double most, Sex sex) implements End {
        @Override
        public MateKind kind() {
            return MateKind.BORE_AND_SHAFT;
        }
    }

    /** A joint of a driveshaft, or what takes one. */
    record Joint(double size, String end) implements End {
        @Override
        public MateKind kind() {
            return MateKind.JOINT;
        }
    }

    /** @param wall 0 where it does not matter */
    record Tube(double outside, double wall) implements End {
        @Override
        public MateKind kind() {
            return MateKind.TUBE;
        }
    }

    /** @param bolts 0 for a band clamp, whose size is then the spacing */
    record Flange(int bolts, double spacing, double port) implements End {
        @Override
        public MateKind kind() {
            return MateKind.FLANGE;
        }
    }

    record Plug(String family, int ways, Sex sex) implements End {
        @Override
        public MateKind kind() {
            return MateKind.PLUG;
        }
    }

    /** What is given (male) or taken (female), volts. */
    record Voltage(double least, double most, Sex sex) implements End {
        @Override
        public MateKind kind() {
            return MateKind.VOLTAGE;
        }
    }

    /** A part (male) or the room for it (female), the longest side first. */
    record Box(double a, double b, double c, Sex sex) implements End {
        @Override
        public MateKind kind() {
            return MateKind.ENVELOPE;
        }
    }
}
