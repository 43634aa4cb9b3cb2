package org.ostendum.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.quantity.GravityDifference;

class RulesTest {
    @ParameterizedTest
    @EnumSource(RuleKey.class)
    void everyDefaultIsInsideItsOwnRange(RuleKey rule) {
        assertThat(rule.allows(rule.standard())).isTrue();
        assertThat(RuleKey.find(rule.key())).contains(rule);
        assertThat(rule.practice()).contains(".");
    }

    @Test
    void keysAreUnique() {
        assertThat(Arrays.stream(RuleKey.values()).map(RuleKey::key)).doesNotHaveDuplicates();
    }

    @Test
    void theModelWinsOverTheSiteAndTheSiteOverTheDefault() {
        Rules site = Rules.standard().with(Map.of(RuleKey.SPREAD_EQUALISE, new BigDecimal(25)));
        Rules model = site.with(Map.of(RuleKey.SPREAD_EQUALISE, new BigDecimal(40)));
        assertThat(Rules.standard().points(RuleKey.SPREAD_EQUALISE)).isEqualTo(GravityDifference.ofPoints(30));
        assertThat(site.points(RuleKey.SPREAD_EQUALISE)).isEqualTo(GravityDifference.ofPoints(25));
        assertThat(model.points(RuleKey.SPREAD_EQUALISE)).isEqualTo(GravityDifference.ofPoints(40));
        assertThat(model.use(RuleKey.SPREAD_EQUALISE).value()).isEqualByComparingTo("40");
    }

    @Test
    void aValueOutsideTheRangeIsRefused() {
        assertThatThrownBy(() -> Rules.standard().with(Map.of(RuleKey.SPREAD_EQUALISE, new BigDecimal("9.9"))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("judge.spread.equalise is 9.9, allowed is 10 to 80");
    }

    @Test
    void aRuleIsReadInItsOwnUnit() {
        assertThat(Rules.standard().duration(RuleKey.COOLING)).isEqualTo(Duration.ofHours(8));
        assertThat(Rules.standard().duration(RuleKey.GASSING_WAIT)).isEqualTo(Duration.ofMinutes(30));
        assertThatThrownBy(() -> Rules.standard().duration(RuleKey.SPREAD_FINE))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Rules.standard().points(RuleKey.COOLING)).isInstanceOf(IllegalArgumentException.class);
    }
}
