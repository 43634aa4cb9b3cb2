package org.ostendum.app.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.ostendum.core.storage.Outlook;
import org.springframework.beans.factory.annotation.Autowired;

/** A row laid up, looked at while it stands, and brought back; and what the other pages say of it meanwhile. */
class StoragePagesTest extends JobsTest {
    @Autowired
    private Stays stays;

    @Autowired
    private Storing storing;

    @Autowired
    private BatteryStates states;

    private Battery car(int n) {
        return batteries.all().stream()
                .filter(b -> b.type().model().duty() == Duty.DEEP_CYCLE)
                .filter(b -> {
                    BatteryState state = states.stateOf(b);
                    return state.stage() == Stage.IN_SERVICE
                            && !state.isCharging()
                            && state.inHand() == null
                            && state.defects().isEmpty();
                })
                .skip(n)
                .findFirst()
                .orElseThrow();
    }

    private String shed() throws Exception {
        String name = "Shed " + UUID.randomUUID().toString().substring(0, 6);
        StringBuilder csv = new StringBuilder("month,mean_c,coldest_c\n");
        for (int month = 1; month <= 12; month++) {
            csv.append(month).append(",-3,-20\n");
        }
        assertThat(tom.send("/storage/places", "name", name, "months", csv.toString())
                        .getStatus())
                .isEqualTo(302);
        return name;
    }

    @Test
    void aRowIsLaidUpAndStandsOnTheBoard() throws Exception {
        String shed = shed();
        Battery first = car(0);
        Battery second = car(1);
        tom.send("/storage/lay-up", "codes", first.code() + " " + second.code(), "where", shed, "supply", "STOPS");
        assertThat(tom.page("/storage")).contains("Being laid up", first.code(), second.code());
        assertThat(states.stateOf(first).stage()).isEqualTo(Stage.IN_SERVICE);

        storing.putAway(first, stays.openOf(first.id()).orElseThrow().placeId(), Supply.STOPS, 1, states.instant());
        assertThat(states.stateOf(first).stage()).isEqualTo(Stage.STORED);
        Storing.Line line = storing.lines().stream()
                .filter(l -> l.battery().id() == first.id())
                .findFirst()
                .orElseThrow();
        assertThat(line.outlook().latest()).isNotNull();
        assertThat(line.stay().place()).isEqualTo(shed);
        assertThat(tom.page("/storage")).contains("it may never start again", shed);
        assertThat(tom.page("/batteries/" + first.code() + "/jobs/change-battery"))
                .contains(first.code() + " is put away");
        var celsius = tom.send("/batteries/" + first.code() + "/storage/look", "sg", "1.265");
        assertThat(celsius.getStatus()).isEqualTo(422);
        tom.send("/batteries/" + first.code() + "/storage/look", "sg", "1.262", "celsius", "25", "power", "off");
        assertThat(tom.page("/storage")).contains("Its power was off.");
        assertThat(tom.page("/batteries/" + first.code() + "/ledger")).contains("charger OFF");
        tom.send("/batteries/" + first.code() + "/log", "kind", "RELEASED", "when", "", "remark", "Spring.");
        maud.send("/batteries/" + first.code() + "/log", "kind", "RELEASED", "when", "", "remark", "Spring.");
        assertThat(states.stateOf(first).stage()).isEqualTo(Stage.IN_SERVICE);
        assertThat(stays.openOf(first.id())).isEmpty();
    }

    @Test
    void whatIsWronglyTypedIsToldAndKept() throws Exception {
        assertThat(tom.send("/storage/lay-up", "codes", "Z-99", "supply", "NOTHING")
                        .getContentAsString())
                .contains("Z-99", "No battery goes by the name");
        var place = tom.send("/storage/places", "name", "Barn", "months", "month,mean_c,coldest_c\n1,warm,-3\n");
        assertThat(place.getStatus()).isEqualTo(422);
        assertThat(place.getContentAsString()).contains("warm", "1,warm,-3", "value=\"Barn\"");
        assertThat(tom.send("/storage/places", "name", "Barn", "months", "month,mean_c,coldest_c\n1,2,-3\n")
                        .getContentAsString())
                .contains("Month 2 is missing");
    }

    /** How it fares is reckoned by place and charger: what stood before stays readable, and the same said again is no news. */
    @Test
    void anotherPlaceOrChargerIsToldInTheLedger() throws Exception {
        String shed = shed();
        tom.send("/batteries/G-15/storage/place", "where", shed, "supply", "MAINTAINS");
        tom.send("/batteries/G-15/storage/place", "where", shed, "supply", "MAINTAINS");
        assertThat(tom.page("/batteries/G-15/ledger")).containsOnlyOnce("It stands otherwise now: " + shed);
    }

    @Test
    void theDemosRowIsNearItsDate() throws Exception {
        assertThat(tom.page("/rooms/main")).contains("put away");
        assertThat(tom.page("/batteries/G-13")).contains("Put away since", "Charge it by");
        assertThat(tom.page("/mine")).contains("Its charge was due by");
        assertThat(storing.lines())
                .filteredOn(line -> line.battery().code().equals("G-16"))
                .allMatch(Storing.Line::isOver)
                .extracting(line -> line.outlook().why())
                .containsExactly(Outlook.Why.CALENDAR);
        assertThat(storing.lines())
                .filteredOn(line -> line.battery().code().equals("G-13"))
                .allMatch(line -> !line.isOver() && line.isSoon(7));
    }
}
