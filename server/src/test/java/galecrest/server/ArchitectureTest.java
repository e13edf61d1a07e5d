package galecrest.server;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import galecrest.core.planner.Planner;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** The arrows of the server: a controller knows its service, a service its repository, and none of them backwards. */
@AnalyzeClasses(packages = "galecrest.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule sqlIsInRepositories = noClasses()
            .that()
            .haveSimpleNameNotEndingWith("Repository")
            .and()
            .haveSimpleNameNotEndingWith("Journal")
            .and()
            .haveSimpleNameNotEndingWith("SnapshotStore")
            .and()
            .haveSimpleNameNotStartingWith("SnapshotRows")
            .and()
            .haveSimpleNameNotStartingWith("SnapshotInserts")
            .should()
            .dependOnClassesThat()
            .areAssignableTo(JdbcClient.class);

    @ArchTest
    static final ArchRule controllersTalkToServices = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat(describe(
                    "are repositories of ours",
                    c -> c.getPackageName().startsWith("galecrest")
                            && c.getSimpleName().endsWith("Repository")));

    @ArchTest
    static final ArchRule nothingNamesAController = noClasses()
            .should()
            .dependOnClassesThat(describe(
                    "are controllers or nested in one, of another file",
                    c -> c.getPackageName().startsWith("galecrest")
                            && outermost(c).getSimpleName().endsWith("Controller")))
            .as("nothing but a controller itself names a controller");

    @ArchTest
    static final ArchRule partsMakeNoCircle =
            slices().matching("galecrest.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule thePlannerIsAskedOnlyByItsEntry = noClasses()
            .should()
            .dependOnClassesThat(describe(
                    "are the inside of the planner",
                    c -> c.getPackageName().startsWith("galecrest.core.planner")
                            && !outermost(c).isEquivalentTo(Planner.class)));

    /** What a controller calls says who may; what is for nobody in particular is told apart by its own name. */
    @ArchTest
    static void everyServiceMethodReachedFromHttpNamesARole(JavaClasses server) {
        TreeSet<String> open = server.stream()
                .filter(c -> c.getSimpleName().endsWith("Controller"))
                .flatMap(c -> c.getMethodCallsFromSelf().stream())
                .filter(call -> call.getTargetOwner().isAnnotatedWith(Service.class))
                .flatMap(call -> call.getTarget().resolveMember().stream())
                .map(JavaMethod.class::cast)
                .filter(m -> !namesARole(m))
                .map(m -> m.getOwner().getSimpleName() + "." + m.getName())
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(open)
                .containsExactlyInAnyOrder(
                        // Who is not signed in yet, or holds a secret link.
                        "AccountService.signIn",
                        "CalendarService.calendar",
                        "CustomerService.answer",
                        "CustomerService.page",
                        "CustomerService.photo",
                        "CustomerService.report",
                        "InvitationService.accept",
                        "InvitationService.open",
                        "WallService.change",
                        "WallService.look");
    }

    private static boolean namesARole(JavaMethod method) {
        return java.util.stream.Stream.of(AnyHand.class, LeadOrManager.class, ManagerOnly.class)
                .anyMatch(role ->
                        method.isAnnotatedWith(role) || method.getOwner().isAnnotatedWith(role));
    }

    private static JavaClass outermost(JavaClass type) {
        return type.getEnclosingClass().map(ArchitectureTest::outermost).orElse(type);
    }

    @ArchTest
    static void noPartIsAHeap(JavaClasses server) {
        Map<String, Long> files = server.stream()
                .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
                .collect(Collectors.groupingBy(JavaClass::getPackageName, TreeMap::new, Collectors.counting()));
        assertThat(files).allSatisfy((part, count) -> assertThat(count).as(part).isLessThanOrEqualTo(20));
    }

    @ArchTest
    static final ArchRule noneOfTheNamesThatSayNothing =
            noClasses().should().resideInAnyPackage("..util..", "..common..", "..helper..", "..manager..", "..impl..");
}
