package org.ostendum.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class RulebookTest {
    private static final RuleKey RULE = RuleKey.SPREAD_EQUALISE;
    private static final long MODEL = 7;

    private static RuleChange set(RuleKey rule, @Nullable Long model, @Nullable String value) {
        return new RuleChange(
                rule,
                model,
                model == null ? null : "m",
                value == null ? null : new BigDecimal(value),
                "because",
                "Maud",
                Instant.EPOCH);
    }

    private static BigDecimal value(Rulebook book, long model) {
        return book.rulesFor(model).value(RULE);
    }

    @Test
    void withoutChangesTheDefaultsHold() {
        Rulebook book = new Rulebook(0, List.of());
        assertThat(value(book, MODEL)).isEqualByComparingTo(RULE.standard());
        assertThat(book.inForce(RULE, null)).isEmpty();
        assertThat(book.changesOf(RULE)).isZero();
    }

    @Test
    void theLastChangeOfEachScopeIsInForceAndTheModelGoesBeforeTheSite() {
        Rulebook book = new Rulebook(4, List.of(set(RULE, null, "20"), set(RULE, MODEL, "40"), set(RULE, null, "25")));
        assertThat(book.siteRules().value(RULE)).isEqualByComparingTo("25");
        assertThat(value(book, MODEL)).isEqualByComparingTo("40");
        assertThat(value(book, MODEL + 1)).isEqualByComparingTo("25");
        assertThat(book.inForce(RULE, null).orElseThrow().value()).isEqualByComparingTo("25");
        assertThat(book.inForce(RULE, MODEL).orElseThrow().value()).isEqualByComparingTo("40");
        assertThat(book.inForce(RULE, MODEL + 1)).isEmpty();
        assertThat(book.changesOf(RULE)).isEqualTo(3);
        assertThat(book.changesOf(RuleKey.SPREAD_FINE)).isZero();
        assertThat(book.revision()).isEqualTo(4);
        assertThat(book.changes()).hasSize(3);
    }

    @Test
    void aSettingTakenBackFallsBack() {
        Rulebook book = new Rulebook(
                4,
                List.of(
                        set(RULE, null, "20"),
                        set(RULE, MODEL, "40"),
                        set(RULE, MODEL, null),
                        set(RuleKey.SPREAD_FINE, null, "10"),
                        set(RuleKey.SPREAD_FINE, null, null)));
        assertThat(value(book, MODEL)).isEqualByComparingTo("20");
        assertThat(book.inForce(RULE, MODEL)).isEmpty();
        assertThat(book.siteRules().value(RuleKey.SPREAD_FINE)).isEqualByComparingTo(RuleKey.SPREAD_FINE.standard());
    }
}
