package galecrest.core;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import galecrest.core.plan.LinkIndex;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.SnapshotValidator;
import galecrest.core.plan.WarmStart;
import galecrest.core.planner.Planner;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** The rooms of the core: what each may know, and how full it may be. */
@AnalyzeClasses(packages = "galecrest.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    private static final String CORE = "galecrest.core.";
    private static final int FULL = 20;

    /** Each room knows only those before it. */
    private static final List<String> ROOMS = List.of(
            "time",
            "units",
            "people",
            "vendor",
            "parts",
            "shop",
            "build",
            "work",
            "sheet",
            "mate",
            "money",
            "component",
            "gauge",
            "gauge.chassis",
            "gauge.driveline",
            "gauge.check",
            "gauge.track",
            "gauge.power",
            "gauge.aero",
            "gauge.heat",
            "gauge.fabrication",
            "gauge.electrics",
            "gauge.all",
            "dyno",
            "loom",
            "gate",
            "tyre",
            "load",
            "device",
            "device.standin",
            "rollout",
            "trackday",
            "plan",
            "season",
            "planner.calendar",
            "planner.network",
            "planner.problem",
            "planner.sgs",
            "planner.objective",
            "planner.result",
            "planner.search",
            "planner.repair",
            "planner",
            "risk",
            "insight",
            "rescue",
            "rehearse",
            "audit");

    @ArchTest
    static final ArchRule pureJava = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "galecrest.core..",
                    "java..",
                    "org.jspecify..",
                    "javax.measure..",
                    "tech.units..",
                    "org.ojalgo..",
                    "org.hipparchus..",
                    "org.apache.commons.statistics..");

    @ArchTest
    static final ArchRule noClockOfItsOwn = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime");

    @ArchTest
    static void everyRoomHasItsPlace(JavaClasses core) {
        Set<String> there = core.stream().map(JavaClass::getPackageName).collect(Collectors.toSet());
        assertThat(there).isEqualTo(ROOMS.stream().map(CORE::concat).collect(Collectors.toSet()));
    }

    @ArchTest
    static void aRoomKnowsOnlyThoseBeforeIt(JavaClasses core) {
        for (int room = 0; room < ROOMS.size(); room++) {
            String[] after = ROOMS.subList(room + 1, ROOMS.size()).stream()
                    .map(CORE::concat)
                    .toArray(String[]::new);
            if (after.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage(CORE + ROOMS.get(room))
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(after)
                        .check(core);
            }
        }
    }

    @ArchTest
    static void noRoomIsAHeap(JavaClasses core) {
        Map<String, Long> files = core.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .collect(Collectors.groupingBy(JavaClass::getPackageName, TreeMap::new, Collectors.counting()));
        assertThat(files).allSatisfy((room, count) -> assertThat(count).as(room).isLessThanOrEqualTo(FULL));
    }

    private static final DescribedPredicate<JavaClass> INSIDE_OF_THE_PLANNER = describe(
            "are the inside of the planner",
            c -> c.getPackageName().startsWith(CORE + "planner") && !c.getName().startsWith(Planner.class.getName()));

    /** What improves a plan, replays it or tells of it knows its inside; everybody else asks the planner. */
    @ArchTest
    static final ArchRule thePlannerIsClosed = noClasses()
            .that()
            .resideOutsideOfPackages(CORE + "planner..", CORE + "risk", CORE + "insight")
            .should()
            .dependOnClassesThat(INSIDE_OF_THE_PLANNER);

    /** The audit reads what goes into a plan and the plan; nothing that made it. */
    @ArchTest
    static final ArchRule theAuditSharesNoCodeWithThePlanner = noClasses()
            .that()
            .resideInAPackage(CORE + "audit")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(CORE + "planner..", CORE + "risk", CORE + "insight", CORE + "rescue")
            .orShould()
            .dependOnClassesThat()
            .belongToAnyOf(LinkIndex.class, SnapshotValidator.class, ReasonText.class, WarmStart.class);
}
