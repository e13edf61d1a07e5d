package galecrest.bench;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.audit.PlanAudit;
import galecrest.core.audit.Violation;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Planner;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.server.exchange.CoreJson;
import java.io.File;
import java.io.IOException;
import java.util.List;
import java.util.Locale;

/** Plans snapshot files and audits each plan, a line a file. */
final class PlanFiles {
    private PlanFiles() {}

    /** The exit code: 0 where every plan keeps every rule. */
    static int run(List<String> files) {
        if (files.isEmpty()) {
            System.err.println("Say the snapshot files: ./galecrest bench plan FILE…");
            return 2;
        }
        ObjectMapper json = CoreJson.mapper();
        int worst = 0;
        for (String file : files) {
            worst = Math.max(worst, plan(json, new File(file)));
        }
        return worst;
    }

    private static int plan(ObjectMapper json, File file) {
        try {
            ShopSnapshot shop = json.readValue(file, ShopSnapshot.class);
            long start = System.nanoTime();
            Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
            double seconds = (System.nanoTime() - start) / 1e9;
            List<Violation> violations = PlanAudit.violations(shop, plan);
            String audit = violations.isEmpty() ? "ok" : violations.size() + " violations";
            System.out.printf(
                    Locale.ROOT,
                    "%s %d jobs %s %.3f s audit=%s%n",
                    file.getName(),
                    shop.works().size(),
                    said(plan.score()),
                    seconds,
                    audit);
            violations.forEach(v -> System.err.println("  " + v.rule() + ": " + v.detail()));
            return violations.isEmpty() ? 0 : 1;
        } catch (IOException e) {
            String why = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
            System.err.println(file + " is no shop snapshot: " + why);
            return 2;
        } catch (IllegalArgumentException e) {
            System.err.println(file + " cannot be planned: " + e.getMessage());
            return 2;
        }
    }

    private static String said(Score score) {
        return String.format(
                Locale.ROOT,
                "score=%d/%.2f/%.2f/%.2f",
                score.missing(),
                score.hardLateness(),
                score.promisedLateness(),
                score.rest());
    }
}
