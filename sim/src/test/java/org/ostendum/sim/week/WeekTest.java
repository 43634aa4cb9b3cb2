package org.ostendum.sim.week;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Span;

class WeekTest {
    @Test
    void theSameSeedMakesTheSameWeek() {
        assertThat(Week.make(12, true, 3).ledBy(Lead.RULE_OF_THUMB))
                .isEqualTo(Week.make(12, true, 3).ledBy(Lead.RULE_OF_THUMB));
    }

    /** A roomy room in which nothing goes wrong lacks nothing. */
    @Test
    void withoutAccidentsARoomyRoomMeetsAllItsNeeds() {
        Week made = Week.make(12, false, 4);
        WeekResult result = new Week(made.room(), Accidents.NONE, 7, 4).ledBy(Lead.RULE_OF_THUMB);
        assertThat(result.shifts()).isGreaterThan(20);
        assertThat(result.unmet()).isZero();
        assertThat(result.bare()).isZero();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatIsChargedIsPaidFor(long seed) {
        WeekResult result = Week.make(12, true, seed).ledBy(Lead.RULE_OF_THUMB);
        assertThat(result.charges()).isGreaterThanOrEqualTo(result.shifts() - result.unmet() - 12);
        assertThat(result.energyCost()).isPositive();
        assertThat(result.mostKilowatts()).isPositive();
        assertThat(result.handMinutes()).isGreaterThan(3 * result.charges() - 1);
    }

    @Test
    void accidentsMakeItNoBetter() {
        int with = 0;
        int without = 0;
        for (long seed = 1; seed <= 6; seed++) {
            Week week = Week.make(12, true, seed);
            with += week.ledBy(Lead.RULE_OF_THUMB).unmet();
            without += new Week(week.room(), Accidents.NONE, 7, seed)
                    .ledBy(Lead.RULE_OF_THUMB)
                    .unmet();
        }
        assertThat(with).isGreaterThanOrEqualTo(without);
    }

    /** A lead who does nothing: whatever was ready stays where it is. */
    @Test
    void aReadyBatteryThatNobodyPutsInIsToldSo() {
        Week week = new Week(Week.make(12, false, 4).room(), Accidents.NONE, 7, 4);
        WeekResult result = week.ledBy((now, before) -> new Plan(List.of(), List.of(), List.of(), 0, true));
        assertThat(result.unmet()).isEqualTo(result.shifts());
        assertThat(result.stood()).containsOnlyKeys(Obstacle.NOT_CHANGED);
    }

    @Test
    void aFixedBatteryWhoseChargerBrokeIsToldSo() {
        Week made = Week.make(12, false, 4);
        Map<String, List<Span>> broken = new HashMap<>();
        made.room()
                .chargers()
                .forEach(charger ->
                        broken.put(charger.code(), List.of(new Span(made.room().from(), made.end()))));
        Accidents allBroken = new Accidents(Map.of(), broken, Map.of());
        WeekResult result = new Week(made.room(), allBroken, 7, 4).ledBy(Lead.RULE_OF_THUMB);
        assertThat(result.stood()).containsKeys(Obstacle.CHARGER_BROKEN, Obstacle.WAITS_FOR_CHARGE);
    }

    /** Whoever leads is asked whenever something happens, and never told what will go wrong. */
    @Test
    void nobodyKnowsBeforehandWhatBreaks() {
        Week week = Week.make(12, true, 5);
        List<PlanProblem> asked = new ArrayList<>();
        week.ledBy((now, before) -> {
            asked.add(now);
            return Lead.RULE_OF_THUMB.plan(now, before);
        });
        assertThat(asked).hasSizeGreaterThan(50);
        assertThat(asked).allSatisfy(problem -> problem.chargers().forEach(charger -> charger.away()
                .forEach(away -> assertThat(away.start()).isEqualTo(problem.from()))));
    }
}
