package galecrest.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The yardsticks: {@code ./galecrest bench [FOLDER]} measures all of them and writes docs/benchmarks.md, with the classic
 * instances of a folder; {@code bench plan FILE…} plans files; {@code bench steady} says how still plans stand; {@code bench gauges} times the gauges;
 * {@code bench load} and {@code bench soak} put many browsers on one server.
 */
public final class Bench {
    private Bench() {}

    public static void main(String[] args) throws Exception {
        if (args.length > 0 && args[0].equals("plan")) {
            System.exit(PlanFiles.run(List.of(Arrays.copyOfRange(args, 1, args.length))));
        }
        if (args.length > 0 && args[0].equals("load")) {
            System.exit(Load.run(List.of(Arrays.copyOfRange(args, 1, args.length))));
        }
        if (args.length > 0 && args[0].equals("soak")) {
            System.exit(Soak.run(List.of(Arrays.copyOfRange(args, 1, args.length))));
        }
        if (args.length > 0 && args[0].equals("steady")) {
            System.exit(Steady.run(List.of(Arrays.copyOfRange(args, 1, args.length))));
        }
        if (args.length > 0 && args[0].equals("gauges")) {
            System.exit(GaugeTimes.run(Path.of("docs", "gauges.md")));
        }
        Optional<Path> instances = Stream.of(args)
                .filter(a -> !a.startsWith("--"))
                .findFirst()
                .map(Path::of)
                .or(() -> Optional.of(Path.of("..", "shared", "data", "plan")))
                .filter(Files::isDirectory);
        List<String> rows = Yardsticks.measure(instances);
        DemoReplan.run(rows);
        System.exit(0);
    }
}
