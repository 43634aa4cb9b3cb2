package org.ostendum.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.battery.Duty;

class RuleKeyTest {
    @ParameterizedTest
    @CsvSource({
        "MOTIVE, ROUND_INTERVAL_MOTIVE, WATER_INTERVAL_MOTIVE, CHARGE_STOP",
        "DEEP_CYCLE, ROUND_INTERVAL_DEEP_CYCLE, WATER_INTERVAL_DEEP_CYCLE, CHARGE_STOP",
        "AIRCRAFT, ROUND_INTERVAL_AIRCRAFT, WATER_INTERVAL_AIRCRAFT, CHARGE_STOP_AIRCRAFT",
        "STATIONARY, ROUND_INTERVAL_STATIONARY, WATER_INTERVAL_STATIONARY, CHARGE_STOP"
    })
    void eachDutyHasItsOwnRules(Duty duty, RuleKey round, RuleKey water, RuleKey stop) {
        assertThat(RuleKey.roundInterval(duty)).isEqualTo(round);
        assertThat(RuleKey.waterInterval(duty)).isEqualTo(water);
        assertThat(RuleKey.chargeStop(duty)).isEqualTo(stop);
    }

    /** Both ends of what a rule may be set to are allowed, and nothing beyond them. */
    @ParameterizedTest
    @EnumSource(RuleKey.class)
    void aRuleTakesWhatLiesBetweenItsEnds(RuleKey rule) {
        BigDecimal little = new BigDecimal("0.0001");
        assertThat(rule.allows(rule.least())).isTrue();
        assertThat(rule.allows(rule.most())).isTrue();
        assertThat(rule.allows(rule.least().subtract(little))).isFalse();
        assertThat(rule.allows(rule.most().add(little))).isFalse();
    }
}
