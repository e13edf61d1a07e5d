package galecrest.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;

@AnalyzeClasses(packages = "galecrest.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule pureJava = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("galecrest.core..", "java..", "org.jspecify..", "javax.measure..", "tech.units..");

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
    static final ArchRule aPartKnowsOnlyWhatStandsBelowIt = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("audit")
            .definedBy("galecrest.core.audit")
            .layer("plan")
            .definedBy("galecrest.core.plan")
            .layer("build")
            .definedBy("galecrest.core.build")
            .layer("parts")
            .definedBy("galecrest.core.parts")
            .layer("outwork")
            .definedBy("galecrest.core.outwork")
            .layer("shop")
            .definedBy("galecrest.core.shop")
            .layer("people")
            .definedBy("galecrest.core.people")
            .layer("time")
            .definedBy("galecrest.core.time")
            .whereLayer("audit")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("plan")
            .mayOnlyBeAccessedByLayers("audit")
            .whereLayer("build")
            .mayOnlyBeAccessedByLayers("plan", "audit")
            .whereLayer("parts")
            .mayOnlyBeAccessedByLayers("build", "plan", "audit")
            .whereLayer("outwork")
            .mayOnlyBeAccessedByLayers("parts", "build", "plan", "audit")
            .whereLayer("time")
            .mayNotAccessAnyLayer();

    /** The audit reads what goes into a plan and the plan; nothing that made it. */
    @ArchTest
    static final ArchRule theAuditSharesNoCodeWithThePlanner = noClasses()
            .that()
            .resideInAPackage("galecrest.core.audit")
            .should()
            .dependOnClassesThat(com.tngtech.archunit.base.DescribedPredicate.describe(
                    "make plans",
                    c -> c.getPackageName().equals("galecrest.core.plan")
                            && !c.isAssignableTo(ShopSnapshot.class)
                            && !c.isAssignableTo(Score.class)
                            && !c.isAssignableTo(Because.class)
                            && !c.getName().startsWith(Plan.class.getName() + "$")
                            && !c.isAssignableTo(Plan.class)));
}
