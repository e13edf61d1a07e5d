package galecrest.core.gauge.power;

/**
 * The air of a room, and what a power measured in it is by the standards.
 *
 * @param pascal pressure of the room, not reduced to sea level
 * @param kelvin its temperature
 * @param humidity relative, 0 to 1
 */
public record Air(double pascal, double kelvin, double humidity) {
    private static final double ZERO_CELSIUS = 273.15;
    private static final double HECTO = 100;

    /** A standard that says what a power would be in its own air. */
    public enum Standard {
        /** SAE J1349 (2004): 990 hPa of dry air, 25 °C, with an allowance for friction. */
        SAE_J1349,
        /** ISO 1585, engines with spark ignition: 99 kPa of dry air, 25 °C. */
        ISO_1585,
        /** DIN 70020: 1013.25 hPa, 20 °C; the moisture is not counted. */
        DIN_70020,
        /** 60 °F and 1013.25 hPa of dry air. */
        STD_60F,
        NONE
    }

    /**
     * Pressure of saturated water vapour, Pa: the Magnus form with the coefficients of the WMO guide to instruments (WMO-No. 8,
     * annex 4.B), over water, −45 to 60 °C.
     */
    public static double saturation(double kelvin) {
        double t = kelvin - ZERO_CELSIUS;
        return HECTO * 6.112 * Math.exp(17.62 * t / (243.12 + t));
    }

    /** Pressure of the air without its moisture, Pa. */
    public double dry() {
        return pascal - humidity * saturation(kelvin);
    }

    /** What a measured power is multiplied with. */
    public double factor(Standard standard) {
        double t = kelvin - ZERO_CELSIUS;
        double dry = dry() / HECTO;
        return switch (standard) {
            case SAE_J1349 -> 1.180 * (990 / dry) * Math.sqrt((t + 273) / 298) - 0.180;
            case ISO_1585 -> Math.pow(990 / dry, 1.2) * Math.pow(kelvin / 298, 0.6);
            case DIN_70020 -> 1013.25 / (pascal / HECTO) * Math.sqrt(kelvin / 293.15);
            case STD_60F -> 1013.25 / dry * Math.sqrt(kelvin / 288.71);
            case NONE -> 1;
        };
    }
}
