package org.ostendum.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.lang.annotation.Annotation;
import org.springframework.stereotype.Controller;
import org.springframework.stereotype.Repository;

@AnalyzeClasses(
        packages = "org.ostendum",
        importOptions = {
            ImportOption.DoNotIncludeTests.class,
            ArchitectureTest.WithoutTestJars.class,
            ArchitectureTest.WrittenByHand.class
        })
class ArchitectureTest {
    /** Tests that one module lends another. */
    static final class WithoutTestJars implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("-tests.jar");
        }
    }

    /** Without the beans that were worked out ahead: they call what they make, of whatever slice. */
    static final class WrittenByHand implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__") && !location.contains("$$");
        }
    }

    @ArchTest
    static final ArchRule theApplicationKnowsNoSimulation = noClasses()
            .that()
            .resideInAPackage("org.ostendum.app..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.sim..", "org.ostendum.demo..");

    /** Each slice has its own stores; nobody else speaks SQL. */
    @ArchTest
    static final ArchRule onlyStoresSpeakSql = noClasses()
            .that()
            .areNotAnnotatedWith(Repository.class)
            .and(areNotInside(Repository.class))
            .and()
            .haveSimpleNameNotEndingWith("Row")
            .and()
            .resideOutsideOfPackage("org.ostendum.app.db..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.jooq..", "org.ostendum.app.db.jooq..");

    @ArchTest
    static final ArchRule coreKnowsNothingAboveIt = noClasses()
            .that()
            .resideInAPackage("org.ostendum.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.app..", "org.springframework..");

    @ArchTest
    static final ArchRule storesKnowNoScreen = noClasses()
            .that()
            .areAnnotatedWith(Repository.class)
            .should()
            .dependOnClassesThat()
            .areAnnotatedWith(Controller.class)
            .orShould()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.app.words..", "org.ostendum.app.draw..", "org.springframework.ui..");

    @ArchTest
    static final ArchRule noCircleOfSlices =
            slices().matching("org.ostendum.app.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule drawingsKnowNoStore = noClasses()
            .that()
            .resideInAPackage("org.ostendum.app.draw..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.app.state..", "org.springframework..");

    /** What follows from events is concluded in one place; everybody else asks for the state. */
    @ArchTest
    static final ArchRule nobodyElseFolds = noClasses()
            .that()
            .resideInAPackage("org.ostendum.app..")
            .and()
            .resideOutsideOfPackages("org.ostendum.app.state..", "org.ostendum.app.api..")
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("org.ostendum.core.state.BatteryFold");

    /** Real equipment could take their place: what is heard of them comes over the line alone. */
    @ArchTest
    static final ArchRule theApplicationKnowsNoStandIn = noClasses()
            .that()
            .resideInAnyPackage("org.ostendum.app..", "org.ostendum.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.ostendum.standins..");

    @ArchTest
    static final ArchRule controllersAreNamedSo = classes()
            .that()
            .areAnnotatedWith(Controller.class)
            .should()
            .haveSimpleNameEndingWith("Controller")
            .orShould()
            .haveSimpleNameEndingWith("Setup")
            .orShould()
            .haveSimpleName("ErrorPages");

    @ArchTest
    static final ArchRule nobodyAsksTheSystemForTheTime = noClasses()
            .that()
            .resideOutsideOfPackage("org.ostendum.standins..")
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");

    private static DescribedPredicate<JavaClass> areNotInside(Class<? extends Annotation> annotation) {
        return DescribedPredicate.describe(
                "are not inside a class annotated with " + annotation.getSimpleName(),
                inner -> inner.getEnclosingClass()
                        .filter(outer -> outer.isAnnotatedWith(annotation))
                        .isEmpty());
    }
}
