package galecrest.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;

/** The yardsticks: {@code ./galecrest bench} measures the demo shop, {@code bench plan FILE…} plans snapshots. */
public final class Bench {
    private Bench() {}

    public static void main(String[] args) throws IOException, InterruptedException {
        if (args.length > 0 && args[0].equals("plan")) {
            System.exit(PlanFiles.run(List.of(Arrays.copyOfRange(args, 1, args.length))));
        }
        DemoReplan.run();
        System.exit(0);
    }
}
