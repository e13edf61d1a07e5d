package galecrest.core.device.standin;

import java.util.List;
import java.util.Random;

/**
 * A rolling road with an engine on it whose true power is known. It hands out run files like a real one: they scatter from run
 * to run and from sample to sample, the power goes down as the engine soaks with heat, tyres slip where they are soft, and the
 * columns can be mistaken. It knows nothing of what reads or compares them.
 */
public final class RollingRoadModel {
    private static final double ROUND = 2 * Math.PI;
    private static final double KILOWATTS_A_HORSEPOWER = 0.745699872;
    private static final double LOWEST = 2_000;
    private static final double HIGHEST = 7_400;
    private static final double SLIP_BEGINS = 5_200;

    private final Random random;
    private final Engine engine;
    private int run;

    /**
     * The engine and how the road treats it.
     *
     * @param peak its highest power, kW, at 6500 rpm
     * @param scatter from run to run, as a share of the power (one standard deviation)
     * @param noise from sample to sample, as a share
     * @param soak what each run takes from the next, as a share
     * @param duty of its injectors at the highest power, 0 to 1
     */
    public record Engine(double peak, double scatter, double noise, double soak, double duty) {}

    /** How the file's columns are. */
    public enum Columns {
        RIGHT,
        /** The names of power and torque are exchanged. */
        EXCHANGED,
        /** The power is in horsepower and is called kW. */
        HORSEPOWER_CALLED_KW,
        /** Semicolons, and commas in the numbers. */
        DECIMAL_COMMA
    }

    /**
     * What is done in a run.
     *
     * @param gain by how much the power is more than the engine's own, kW, at every speed above 3000 rpm
     * @param hertz samples a second
     * @param seconds how long the sweep takes
     * @param softTyres whether the tyres are soft and slip
     */
    public record Sweep(double gain, double hertz, double seconds, boolean softTyres, Columns columns) {
        /** A run of nine seconds at a hundred samples a second. */
        public static Sweep with(double gain) {
            return new Sweep(gain, 100, 9, false, Columns.RIGHT);
        }
    }

    public RollingRoadModel(Engine engine, long seed) {
        this.engine = engine;
        random = new Random(seed);
    }

    /** What the engine truly makes, kW, at that speed in rpm, cold and without any noise. */
    public double truth(double rpm, double gain) {
        double x = (rpm - 6_500) / 6_500;
        return engine.peak * (1 - x * x + 0.6 * x * x * x) + gain * Math.min(1, Math.max(0, (rpm - 2_000) / 1_000));
    }

    /** The file of the next run. */
    public String file(Sweep sweep) {
        char part = sweep.columns == Columns.DECIMAL_COMMA ? ';' : ',';
        boolean exchanged = sweep.columns == Columns.EXCHANGED;
        StringBuilder file = new StringBuilder(String.join(
                        String.valueOf(part),
                        List.of(
                                "Time (s)",
                                "Engine speed (rpm)",
                                "Roller speed (rpm)",
                                exchanged ? "Torque (Nm)" : "Power (kW)",
                                exchanged ? "Power (kW)" : "Torque (Nm)",
                                "Intake air (°C)",
                                "Oil temperature (°C)",
                                "Oil pressure (bar)",
                                "Fuel pressure (bar)",
                                "Lambda left",
                                "Lambda right",
                                "Injector duty (%)")))
                .append('\n');
        double warm = run++;
        double level = (1 + engine.scatter * random.nextGaussian()) * (1 - engine.soak * warm);
        int samples = (int) Math.round(sweep.hertz * sweep.seconds);
        for (int i = 0; i <= samples; i++) {
            double share = (double) i / samples;
            double rpm = LOWEST + (HIGHEST - LOWEST) * share + 2 * random.nextGaussian();
            double power = truth(rpm, sweep.gain) * level * (1 + engine.noise * random.nextGaussian());
            double slip = sweep.softTyres && rpm > SLIP_BEGINS ? 0.035 * (rpm - SLIP_BEGINS) / 1_000 : 0;
            double roller = rpm / 3.62 / (1 + slip) * (1 + 0.0006 * random.nextGaussian());
            double torque = power * 1000 / (ROUND * rpm / 60);
            double shown = sweep.columns == Columns.HORSEPOWER_CALLED_KW ? power / KILOWATTS_A_HORSEPOWER : power;
            double lambda = 0.87 + 0.008 * random.nextGaussian();
            line(
                    file,
                    part,
                    i / sweep.hertz,
                    rpm,
                    roller,
                    shown,
                    torque,
                    24 + 0.6 * warm + 8 * share,
                    88 + 1.5 * warm + 6 * share,
                    1.1 + 0.62 * rpm / 1000 + 0.03 * random.nextGaussian(),
                    3.5 - 0.15 * share + 0.02 * random.nextGaussian(),
                    lambda,
                    lambda + 0.01 * random.nextGaussian(),
                    100 * engine.duty * truth(rpm, sweep.gain) / engine.peak);
        }
        return file.toString();
    }

    private static void line(StringBuilder file, char part, double... values) {
        StringBuilder line = new StringBuilder();
        for (double value : values) {
            line.append(line.isEmpty() ? "" : ";").append(Math.round(value * 1000) / 1000.0);
        }
        String text = line.toString();
        file.append(part == ';' ? text.replace('.', ',') : text.replace(';', ','))
                .append('\n');
    }
}
