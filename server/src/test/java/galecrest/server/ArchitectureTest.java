package galecrest.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.jdbc.core.simple.JdbcClient;

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
            .should()
            .dependOnClassesThat()
            .areAssignableTo(JdbcClient.class);

    @ArchTest
    static final ArchRule controllersTalkToServices = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat(com.tngtech.archunit.base.DescribedPredicate.describe(
                    "are repositories of ours",
                    c -> c.getPackageName().startsWith("galecrest")
                            && c.getSimpleName().endsWith("Repository")));

    @ArchTest
    static final ArchRule noneOfTheNamesThatSayNothing =
            noClasses().should().resideInAnyPackage("..util..", "..common..", "..helper..", "..manager..", "..impl..");
}
