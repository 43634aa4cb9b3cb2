package org.ostendum.app.battery;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.event.EntryKind;

class LedgerLineTest {
    private static final Instant HAPPENED = TestWords.NOW.minus(Duration.ofHours(2));

    private static LedgerEntry entry(EntryKind kind, BigDecimal quantity, String payload) {
        return entry(kind, quantity, payload, HAPPENED, null, null);
    }

    private static LedgerEntry entry(
            EntryKind kind, BigDecimal quantity, String payload, Instant recorded, Integer corrects, Integer by) {
        return new LedgerEntry(
                1, 2, "T-19", 3, kind, HAPPENED, recorded, "Tom Brackett", null, quantity, corrects, by, payload);
    }

    private static LedgerLine metric(LedgerEntry entry) {
        return LedgerLine.of(entry, TestWords.metric());
    }

    @ParameterizedTest
    @CsvSource({
        "WATER, 1400, 1.4 l",
        "WATER, 450, 450 ml",
        "CHARGE_END, 512, 'not said how, 512 Ah'",
        "DISCHARGE, 380.5, 380.5 Ah",
        "EQUALISE_END, 3, 3 h",
        "NOTE, , ''",
    })
    void aQuantityIsSaidInTheUnitOfItsKind(EntryKind kind, BigDecimal quantity, String detail) {
        assertThat(metric(entry(kind, quantity, "{}")).detail()).isEqualTo(detail);
    }

    @Test
    void waterIsSaidInThePersonsUnit() {
        LedgerEntry poured = entry(EntryKind.WATER, new BigDecimal("3785.41"), "{}");
        assertThat(LedgerLine.of(poured, TestWords.of(true, true, true)).detail())
                .isEqualTo("1.00 gal");
    }

    @Test
    void aRemarkFollowsTheFigure() {
        LedgerLine line = metric(entry(EntryKind.WATER, new BigDecimal("900"), "{\"remark\":\"cell 4 took most\"}"));
        assertThat(line.detail()).isEqualTo("900 ml · cell 4 took most");
        assertThat(line.verdict()).isNull();
        assertThat(line.who()).isEqualTo("Tom Brackett");
    }

    @Test
    void aCorrectionNamesBothValuesAndTheReason() {
        String payload =
                "{\"was\":{\"cell\":12,\"sg\":1196},\"is\":{\"cell\":12,\"sg\":1286},\"reason\":\"a digit slipped\"}";
        assertThat(metric(entry(EntryKind.CORRECTION, null, payload, HAPPENED, 2, null))
                        .detail())
                .contains("1.286", "1.196", "a digit slipped", "12", "2");
        String tooLow = "{\"was\":{\"cell\":12,\"tooLow\":true},\"is\":{\"cell\":12,\"sg\":1286},\"reason\":\"x\"}";
        assertThat(metric(entry(EntryKind.CORRECTION, null, tooLow)).detail()).contains("too low");
    }

    @Test
    void aLineThatIsCorrectedSaysByWhich() {
        LedgerLine line = metric(entry(EntryKind.NOTE, null, "{}", HAPPENED, null, 9));
        assertThat(line.corrected()).isTrue();
        assertThat(line.detail()).contains("9");
    }

    @Test
    void aLineWrittenLateSaysWhen() {
        Instant late = HAPPENED.plus(Duration.ofHours(12)).plusSeconds(1);
        assertThat(metric(entry(EntryKind.NOTE, null, "{}", late, null, null)).detail())
                .isNotEmpty();
        assertThat(metric(entry(EntryKind.NOTE, null, "{}", HAPPENED.plus(Duration.ofHours(12)), null, null))
                        .detail())
                .isEmpty();
    }
}
