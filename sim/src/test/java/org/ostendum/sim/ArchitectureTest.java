package org.ostendum.sim;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.ostendum.sim", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule theSimulationUsesTheCoreAlone = noClasses()
            .should()
            .dependOnClassesThat()
            .resideOutsideOfPackages(
                    "org.ostendum.sim..", "org.ostendum.core..", "java..", "org.jspecify.annotations..");

    /** The same seed gives the same life. */
    @ArchTest
    static final ArchRule nothingComesByChanceOrFromAClock = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(Math.class, "random")
            .orShould()
            .callConstructor(java.util.Random.class);

    /** The judge is told what was read and logged, never what was planted. */
    @ArchTest
    static final ArchRule theSimulationDoesNotJudge = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.core.judge..", "org.ostendum.core.state..");
}
