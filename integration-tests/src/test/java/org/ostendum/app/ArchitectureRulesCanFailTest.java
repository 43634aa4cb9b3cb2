package org.ostendum.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.lang.ArchRule;
import java.lang.reflect.Field;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A rule that nothing can break holds nothing: each is broken here by a class that was planted for it. */
class ArchitectureRulesCanFailTest {
    private static final JavaClasses PLANTED = new ClassFileImporter()
            .importPackages(
                    "org.ostendum.app.planted",
                    "org.ostendum.app.plantedother",
                    "org.ostendum.app.draw.planted",
                    "org.ostendum.core.planted");

    static List<Field> rules() {
        return Arrays.stream(ArchitectureTest.class.getDeclaredFields())
                .filter(field -> field.getType().equals(ArchRule.class))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("rules")
    void isBroken(Field rule) throws IllegalAccessException {
        ArchRule held = (ArchRule) rule.get(null);
        assertThat(held.evaluate(PLANTED).hasViolation()).as(rule.getName()).isTrue();
    }
}
