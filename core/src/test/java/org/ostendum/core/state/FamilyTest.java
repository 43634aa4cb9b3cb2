package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.EnumSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Judge;

class FamilyTest {
    @ParameterizedTest
    @CsvSource({
        "CELL_WEAK, LOW_CELL",
        "CELL_SHORT, LOW_CELL",
        "CELL_DILUTED, LOW_CELL",
        "CELL_SULFATED, LOW_CELL",
        "BATTERY_SULFATED, UNDERCHARGED",
        "BATTERY_UNDERCHARGED, UNDERCHARGED",
        "BATTERY_STRATIFIED, STRATIFIED",
        "PACK_TAP, TAP",
        "BATTERY_WORN, WORN",
        "BLOCK_REVERSED, READING"
    })
    void findingsOfTheSameMatterAreOfOneFamily(FindingCode code, Family family) {
        assertThat(Family.of(code)).isEqualTo(family);
    }

    /** A finding whose question nobody asks could never be settled. */
    @Test
    void everyFamilyHasAQuestionOfTheJudgeOrNone() {
        EnumSet<Family> reached = EnumSet.noneOf(Family.class);
        Arrays.stream(FindingCode.values()).map(Family::of).forEach(reached::add);
        assertThat(reached).containsExactlyInAnyOrder(Family.values());
        assertThat(reached.stream().filter(f -> f != Family.READING).map(Family::question))
                .isSubsetOf(Judge.questions());
    }
}
