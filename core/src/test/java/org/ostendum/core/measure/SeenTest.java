package org.ostendum.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.battery.LevelMarks;

/** What eyes tell of a cell: its level and the look of its sample. */
class SeenTest {
    /** A mark at 20 mm: low below a quarter of it, over from 2 mm above it. */
    @ParameterizedTest
    @CsvSource({"-0.1, EXPOSED", "0, LOW", "4.9, LOW", "5, RIGHT", "20, RIGHT", "22, RIGHT", "22.1, OVER"})
    void millimetresAreALevelByTheMarksOfTheModel(double millimetres, Level level) {
        assertThat(Level.ofMillimetres(millimetres, new LevelMarks(20))).isEqualTo(level);
    }

    @ParameterizedTest
    @CsvSource({
        "a bit Colour:Brown today, BROWN",
        "colour:milky, MILKY",
        "colour:clear, CLEAR",
        "many particles, PARTICLES",
        "brown, ",
        "colour:particles and colour:brown, BROWN",
        "'', "
    })
    void someWordsBesideAReadingTellALook(String words, @Nullable Colour colour) {
        ReadingNote note = ReadingNote.of(words);
        assertThat(note.colour()).isEqualTo(colour);
        assertThat(note.text()).isEqualTo(words);
    }

    @ParameterizedTest
    @EnumSource(Colour.class)
    void aLookIsToldInWordsThatAreUnderstood(Colour colour) {
        assertThat(ReadingNote.of(ReadingNote.telling(colour)).colour()).isEqualTo(colour);
    }

    @Test
    void noLookHasNoWords() {
        assertThat(ReadingNote.telling(null)).isEmpty();
    }
}
