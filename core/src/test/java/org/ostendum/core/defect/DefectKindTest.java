package org.ostendum.core.defect;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DefectKindTest {
    @ParameterizedTest
    @EnumSource(DefectKind.class)
    void aDefectIsFoundAgainByItsWord(DefectKind kind) {
        assertThat(DefectKind.ofWord(kind.word())).contains(kind);
    }

    @Test
    void aLeakIsADamagedCaseAndAnUnknownWordIsNone() {
        assertThat(DefectKind.ofWord("leak")).contains(DefectKind.DAMAGED_CASE);
        assertThat(DefectKind.ofWord("loose_post")).isEmpty();
    }
}
