package galecrest.core.device.standin;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/**
 * A data logger in a car that stands, idles, warms up, drives, and can be made to fail. Temperatures go towards where the
 * engine's load would bring them at their own time constant; pressures follow engine speed and the warmth of the oil.
 */
public final class LoggerModel implements StandIn {
    private enum State {
        OFF(0, 20, 0),
        IDLE(950, 86, 0),
        WARM(2_000, 90, 0),
        DRIVE(4_800, 97, 105);

        private final double rpm;
        private final double water;
        private final double speed;

        State(double rpm, double water, double speed) {
            this.rpm = rpm;
            this.water = water;
            this.speed = speed;
        }
    }

    private static final double WATER_SECONDS = 140;
    private static final double OIL_SECONDS = 260;
    private static final double ENGINE_SECONDS = 0.6;

    private final Random random;
    private State state = State.OFF;
    private String fails = "";
    private double failedAt;
    private double at;
    private double rpm;
    private double water = 18;
    private double oil = 18;
    private double speed;

    public LoggerModel(long seed) {
        random = new Random(seed);
    }

    @Override
    public String kind() {
        return "logger";
    }

    @Override
    public List<String> lines(double seconds) {
        go(seconds);
        double swing = state == State.DRIVE ? 900 * Math.sin(seconds / 4) : 0;
        double turns = Math.max(0, rpm + swing + 15 * random.nextGaussian() * (rpm > 0 ? 1 : 0));
        double warm = Math.max(0, Math.min(1, (oil - 20) / 80));
        double oilBar = turns == 0 ? 0 : Math.min(6, 1 + turns / 900) * (1.25 - 0.4 * warm) * left("oil", seconds);
        double fuelBar = state == State.OFF ? 0 : (3.5 + 0.02 * random.nextGaussian()) * left("fuel", seconds);
        double lambda = turns == 0 ? 1 : (state == State.DRIVE ? 0.88 : 0.98) + 0.01 * random.nextGaussian();
        double lean = fails.equals("lean") ? 0.12 * (1 - left("lean", seconds)) / 0.9 : 0;
        double volts = fails.equals("charging") ? 12.6 - (seconds - failedAt) / 600 : turns > 500 ? 14.1 : 12.5;
        List<String> lines = new ArrayList<>();
        say(lines, "engine-speed", turns, "rpm", 0);
        say(lines, "water", water + 0.1 * random.nextGaussian(), "°C", 1);
        say(lines, "oil-temperature", oil + 0.1 * random.nextGaussian(), "°C", 1);
        say(lines, "oil-pressure", oilBar, "bar", 2);
        say(lines, "fuel-pressure", fuelBar, "bar", 2);
        say(lines, "lambda-left", lambda, "", 3);
        say(lines, "lambda-right", lambda + lean, "", 3);
        say(lines, "battery", volts, "V", 1);
        say(lines, "speed", speed, "km/h", 1);
        return lines;
    }

    private static void say(List<String> lines, String name, double value, String unit, int decimals) {
        lines.add(String.format(Locale.ROOT, "reading %s %." + decimals + "f %s", name, value, unit)
                .strip());
    }

    /** What is left of something that fails: all of it, and after a failure within seconds a tenth. */
    private double left(String what, double seconds) {
        return fails.equals(what) ? 0.1 + 0.9 * Math.exp(-(seconds - failedAt) / 3) : 1;
    }

    private void go(double seconds) {
        double step = Math.max(0, seconds - at);
        at = seconds;
        rpm += (state.rpm - rpm) * (1 - Math.exp(-step / ENGINE_SECONDS));
        if (state == State.OFF && rpm < 50) {
            rpm = 0;
        }
        double hot = fails.equals("cooling") && state != State.OFF ? 130 : state.water;
        water += (hot - water) * (1 - Math.exp(-step / WATER_SECONDS));
        double oilTo = state == State.OFF ? 20 : state.water + (state == State.DRIVE ? 18 : -6);
        oil += (oilTo - oil) * (1 - Math.exp(-step / OIL_SECONDS));
        speed += (state.speed - speed) * (1 - Math.exp(-step / 6));
    }

    @Override
    public Optional<String> simulate(String what, double seconds) {
        go(seconds);
        String[] words = what.strip().toLowerCase(Locale.ROOT).split("\\s+");
        switch (words[0]) {
            case "off" -> state = State.OFF;
            case "idle" -> state = State.IDLE;
            case "warm" -> state = State.WARM;
            case "drive" -> state = State.DRIVE;
            case "well" -> fails = "";
            case "fail" -> {
                if (words.length < 2
                        || !List.of("oil", "fuel", "lean", "cooling", "charging")
                                .contains(words[1])) {
                    return Optional.of("a car fails by oil, fuel, lean, cooling or charging");
                }
                fails = words[1];
                failedAt = seconds;
            }
            default -> {
                return Optional.of("a logger simulates off, idle, warm, drive, fail or well");
            }
        }
        return Optional.empty();
    }
}
