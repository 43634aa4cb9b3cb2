package org.ostendum.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.ostendum.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule coreUsesTheJdkAlone = noClasses()
            .should()
            .dependOnClassesThat()
            .resideOutsideOfPackages("org.ostendum.core..", "java..", "org.jspecify.annotations..");

    @ArchTest
    static final ArchRule coreKnowsNoClockAndNoChance = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(Math.class, "random")
            .orShould()
            .callConstructor(java.util.Random.class);

    @ArchTest
    static final ArchRule onlyTheJudgeKnowsItsQuestions = noClasses()
            .that()
            .resideOutsideOfPackages("..judge", "..judge.question")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..judge.question");

    @ArchTest
    static final ArchRule quantitiesStandAlone = noClasses()
            .that()
            .resideInAPackage("..quantity")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..judge..", "..measure..", "..battery..", "..rulebook..");

    @ArchTest
    static final ArchRule noCirclesButTheJudgeAndItsQuestions =
            slices().matching("org.ostendum.core.(*)..").should().beFreeOfCycles();
}
