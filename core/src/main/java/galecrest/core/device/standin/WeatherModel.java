package galecrest.core.device.standin;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/** A weather station in the workshop: temperature, pressure and humidity that wander slowly. */
public final class WeatherModel implements StandIn {
    private final Random random;
    private double celsius = 17.5;
    private double hectopascal = 1009;
    private double percent = 62;

    public WeatherModel(long seed) {
        random = new Random(seed);
    }

    @Override
    public String kind() {
        return "weather";
    }

    @Override
    public List<String> lines(double seconds) {
        double day = 2 * Math.PI * seconds / 86_400;
        return List.of(
                String.format(
                        Locale.ROOT,
                        "reading temperature %.1f °C",
                        celsius + 3 * Math.sin(day) + 0.05 * random.nextGaussian()),
                String.format(
                        Locale.ROOT,
                        "reading pressure %.1f hPa",
                        hectopascal + 2 * Math.sin(day / 3) + 0.05 * random.nextGaussian()),
                String.format(
                        Locale.ROOT,
                        "reading humidity %.0f %%",
                        percent - 6 * Math.sin(day) + 0.3 * random.nextGaussian()));
    }

    @Override
    public Optional<String> simulate(String what, double seconds) {
        String[] words = what.strip().split("\\s+");
        try {
            double value = Double.parseDouble(words[1]);
            switch (words[0]) {
                case "temperature" -> celsius = value;
                case "pressure" -> hectopascal = value;
                case "humidity" -> percent = value;
                default -> throw new IllegalArgumentException(words[0]);
            }
            return Optional.empty();
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException wrong) {
            return Optional.of("a weather station simulates temperature, pressure or humidity, each with a number");
        }
    }
}
