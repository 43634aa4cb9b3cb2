package org.ostendum.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.stereotype.Controller;

@AnalyzeClasses(packages = "org.ostendum", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    /** The application knows no simulation; the demo tells a year that was simulated. */
    @ArchTest
    static final ArchRule onlyTheDemoSimulates = noClasses()
            .that()
            .resideInAPackage("org.ostendum.web..")
            .and()
            .resideOutsideOfPackage("org.ostendum.web.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.ostendum.sim..");

    @ArchTest
    static final ArchRule sqlLivesInTheStore = noClasses()
            .that()
            .resideOutsideOfPackage("org.ostendum.web.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.jooq..", "org.ostendum.web.store.jooq..")
            .allowEmptyShould(false);

    @ArchTest
    static final ArchRule coreKnowsNothingAboveIt = noClasses()
            .that()
            .resideInAPackage("org.ostendum.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.web..", "org.springframework..");

    @ArchTest
    static final ArchRule theStoreKnowsNoScreen = noClasses()
            .that()
            .resideInAPackage("org.ostendum.web.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.ostendum.web.room..",
                    "org.ostendum.web.battery..",
                    "org.ostendum.web.round..",
                    "org.ostendum.web.setup..",
                    "org.ostendum.web.words..",
                    "org.ostendum.web.state..");

    @ArchTest
    static final ArchRule drawingsKnowNoStore = noClasses()
            .that()
            .resideInAPackage("org.ostendum.web.draw..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.ostendum.web.state..", "org.springframework..");

    /** What follows from events is concluded in one place; everybody else asks for the state. */
    @ArchTest
    static final ArchRule nobodyElseFolds = noClasses()
            .that()
            .resideInAPackage("org.ostendum.web..")
            .and()
            .resideOutsideOfPackages("org.ostendum.web.state..", "org.ostendum.web.api..")
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("org.ostendum.core.state.BatteryFold");

    /** Real equipment could take their place: what is heard of them comes over the line alone. */
    @ArchTest
    static final ArchRule theApplicationKnowsNoStandIn = noClasses()
            .that()
            .resideInAnyPackage("org.ostendum.web..", "org.ostendum.core..")
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
}
