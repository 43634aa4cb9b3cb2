package org.ostendum.app.watering;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.state.WaterDue;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class WateringTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private WateringViews views;

    @Autowired
    private Ledger ledger;

    private AsPerson tom;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
    }

    private List<WateringViews.Stop> full() {
        return views.walk().stream()
                .filter(s -> s.full() && s.expected() != null && s.expected() > 200)
                .toList();
    }

    private double poured(Battery battery) {
        return new EventLog(ledger.events(battery.id(), Instant.EPOCH)).poured(Instant.EPOCH, Instant.MAX);
    }

    @Test
    void theWalkIsRankedByTheDayAndMostlyLearned() {
        List<WateringViews.Stop> walk = views.walk();
        assertThat(walk).extracting(WateringViews.Stop::daysLeft).isSorted();
        assertThat(walk)
                .filteredOn(s -> isTruck(s) && s.basis() == WaterDue.Basis.RECORD)
                .hasSizeGreaterThan(25);
        // Cars of a row are watered on its day, however little one of them drinks.
        assertThat(walk).filteredOn(s -> !isTruck(s)).allSatisfy(s -> assertThat(s.daysLeft())
                .isLessThanOrEqualTo(7));
    }

    @Test
    void whatIsOnChargeIsNotSentToBeCharged() {
        assertThat(views.walk())
                .filteredOn(WateringViews.Stop::charging)
                .isNotEmpty()
                .extracting(WateringViews.Stop::wants)
                .doesNotContain(
                        WateringViews.Stop.Wants.WATER,
                        WateringViews.Stop.Wants.READ_FIRST,
                        WateringViews.Stop.Wants.CHARGE_FIRST);
    }

    private static boolean isTruck(WateringViews.Stop stop) {
        return stop.battery().type().model().duty() != Duty.DEEP_CYCLE;
    }

    @Test
    void whatWasPouredGoesOnTheLedgersTogether() throws Exception {
        WateringViews.Stop first = full().get(0);
        WateringViews.Stop second = full().get(1);
        double before = poured(first.battery());
        MockHttpServletResponse answer = tom.send(
                "/watering",
                "ml-" + first.battery().code(),
                String.valueOf(first.expected()),
                "ml-" + second.battery().code(),
                "250,0");
        assertThat(answer.getStatus()).isEqualTo(302);
        assertThat(poured(first.battery()) - before).isEqualTo((double) Objects.requireNonNull(first.expected()));
        assertThat(views.walk().stream()
                        .filter(s -> s.battery().code().equals(second.battery().code()))
                        .map(WateringViews.Stop::expected)
                        .findFirst()
                        .orElseThrow())
                .isLessThan(200);
    }

    @Test
    void anOddFigureKeepsAllOfItFromBeingWritten() throws Exception {
        WateringViews.Stop stop = full().get(2);
        WateringViews.Stop other = full().get(3);
        String odd = String.valueOf(10 * Objects.requireNonNull(stop.expected()) + 400);
        double before = poured(other.battery());
        String[] typed = {
            "ml-" + stop.battery().code(), odd, "ml-" + other.battery().code(), "300"
        };
        MockHttpServletResponse refused = tom.send("/watering", typed);
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString())
                .contains("Is a digit too many?", "value=\"" + odd + "\"", "value=\"300\"", "Nothing was written");
        assertThat(poured(other.battery())).isEqualTo(before);
    }

    @Test
    void aBatteryThatIsNotFullIsWateredOnlyWhereItIsMeant() throws Exception {
        WateringViews.Stop worked = views.walk().stream()
                .filter(s -> !s.full() && s.last() != null)
                .findFirst()
                .orElseThrow();
        String field = "ml-" + worked.battery().code();
        double before = poured(worked.battery());
        assertThat(tom.send("/watering", field, "120").getContentAsString()).contains("water would overflow");
        assertThat(poured(worked.battery())).isEqualTo(before);
        assertThat(tom.send("/watering", field, "120", "meant", "yes").getStatus())
                .isEqualTo(302);
        assertThat(poured(worked.battery())).isEqualTo(before + 120);
    }

    @Test
    void nothingTypedAndNonsenseAreAnswered() throws Exception {
        assertThat(tom.send("/watering").getContentAsString()).contains("into one battery at least");
        String field = "ml-" + full().get(0).battery().code();
        assertThat(tom.send("/watering", field, "a jug").getContentAsString()).contains("“a jug”", "is no number");
        assertThat(tom.send("/watering", field, "-5").getStatus()).isEqualTo(422);
    }
}
