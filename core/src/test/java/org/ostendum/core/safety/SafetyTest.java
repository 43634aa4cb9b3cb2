package org.ostendum.core.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Unit;
import org.ostendum.core.safety.StationState.Standing;

class SafetyTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final ZoneId ZONE = ZoneId.of("UTC");

    private static Standing standing(StationCheck check, Instant at, boolean sound, Kit kit) {
        return new StationState(check, at, sound, kit).standing(NOW, ZONE, Rules.standard());
    }

    /** Weekly flush of an eyewash: ANSI/ISEA Z358.1. */
    @ParameterizedTest
    @CsvSource({
        "0, READY",
        "150, READY",
        "152, SOON",
        "168, SOON",
        "169, OVERDUE",
        "4000, OVERDUE",
    })
    void anEyewashIsFlushedEachWeek(int hoursAgo, Standing expected) {
        assertThat(standing(StationCheck.EYEWASH_FLUSH, NOW.minus(Duration.ofHours(hoursAgo)), true, Kit.NONE))
                .isEqualTo(expected);
    }

    @Test
    void whatWasNeverLookedAtIsNotReliedOn() {
        assertThat(standing(StationCheck.SHOWER, null, true, Kit.NONE)).isEqualTo(Standing.NEVER_CHECKED);
        assertThat(Standing.NEVER_CHECKED.canBeReliedOn()).isFalse();
    }

    @Test
    void whatWasFoundWantingStaysSoUntilTheNextCheck() {
        assertThat(standing(StationCheck.VENTILATION, NOW, false, Kit.NONE)).isEqualTo(Standing.FOUND_WANTING);
    }

    @ParameterizedTest
    @CsvSource({"2026-05-31, EXPIRED", "2026-06-01, READY", "2027-01-01, READY"})
    void aKitIsOnlyAsGoodAsItsSoda(LocalDate expires, Standing expected) {
        Kit kit = new Kit(List.of(
                new KitItem("goggles", true, null),
                new KitItem("soda", true, expires),
                new KitItem("tape", true, null)));
        assertThat(standing(StationCheck.SPILL_KIT, NOW, true, kit)).isEqualTo(expected);
    }

    @Test
    void aKitThatLacksAThingIsWantingHoweverLatelyItWasChecked() {
        KitItem gloves = new KitItem("gloves", false, null);
        KitItem soda = new KitItem("soda", true, TODAY.minusDays(1));
        Kit kit = new Kit(List.of(new KitItem("goggles", true, null), gloves, soda));
        assertThat(standing(StationCheck.SPILL_KIT, NOW, true, kit)).isEqualTo(Standing.FOUND_WANTING);
        assertThat(kit.wanting(TODAY)).containsExactly(gloves, soda);
        assertThat(kit.firstToExpire()).contains(soda);
    }

    @ParameterizedTest
    @EnumSource(StationCheck.class)
    void everyCheckHasAnIntervalInDays(StationCheck check) {
        assertThat(check.interval().unit()).isEqualTo(Unit.DAYS);
        assertThat(check.interval().practice()).isEqualTo("safety.station");
    }

    @ParameterizedTest
    @CsvSource({"2025-06-01, true", "2025-05-31, false", "2026-06-01, true"})
    void aTrainingCountsForAYear(LocalDate heldOn, boolean counts) {
        Trained trained = new Trained(Map.of(Training.BATTERY_CARE, heldOn));
        assertThat(trained.counts(Training.BATTERY_CARE, TODAY, Rules.standard()))
                .isEqualTo(counts);
        assertThat(trained.counts(Training.CELL_REPAIR, TODAY, Rules.standard()))
                .isFalse();
    }

    @Test
    void theLatestTrainingOfAKindIsTheOneThatCounts() {
        Trained trained = Trained.NOTHING
                .with(Training.CHANGING, LocalDate.of(2026, 3, 1))
                .with(Training.CHANGING, LocalDate.of(2024, 3, 1));
        assertThat(trained.until(Training.CHANGING, Rules.standard())).isEqualTo(LocalDate.of(2027, 3, 1));
    }
}
