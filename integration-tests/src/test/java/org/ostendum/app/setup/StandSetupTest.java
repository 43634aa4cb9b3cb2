package org.ostendum.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Stand;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.annotation.Transactional;

/** What stands on the floor is moved, renamed and taken away, and batteries get another code or model with their past intact. */
@Transactional
class StandSetupTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Rooms rooms;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Models models;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryStates batteryStates;

    private AsPerson maud;

    @BeforeEach
    void people() {
        maud = AsPerson.maud(mvc);
    }

    private RoomPlan room() {
        return rooms.byCode("main").orElseThrow();
    }

    private Stand stand() {
        return room().stands().stream()
                .filter(s -> s.code().equals("A"))
                .findFirst()
                .orElseThrow();
    }

    private String at() {
        return "/setup/rooms/main/stands/" + stand().id();
    }

    @Test
    void aStandGoesWhereItIsPutWithinTheWalls() throws Exception {
        int y = stand().yCm();
        assertThat(maud.send(at() + "/move", "x", "70", "y", String.valueOf(y)).getStatus())
                .isEqualTo(204);
        assertThat(stand().xCm()).isEqualTo(70);
        assertThat(maud.send(at() + "/move", "x", "-10", "y", "0").getStatus()).isEqualTo(422);
        Stand other = room().stands().stream()
                .filter(s -> s.code().equals("B"))
                .findFirst()
                .orElseThrow();
        var inTheWay = maud.send(at() + "/move", "x", "70", "y", String.valueOf(other.yCm() + 10));
        assertThat(inTheWay.getStatus()).isEqualTo(422);
        assertThat(inTheWay.getContentAsString()).contains("It would stand in " + other.name());
        assertThat(maud.send(at() + "/move", "x", "19000", "y", "0").getStatus())
                .isEqualTo(422);
        assertThat(stand().xCm()).isEqualTo(70);
    }

    @Test
    void aPlaceIsRenamedEverywhereAndOnlyAnEmptyOneIsRemoved() throws Exception {
        var full = stand().slots().stream()
                .filter(s -> s.code().equals("Stand A 1"))
                .findFirst()
                .orElseThrow();
        maud.send(at() + "/places/" + full.id(), "code", "Rack 1 left");
        var battery = batteries.all().stream()
                .filter(b -> b.slotId() != null && b.slotId() == full.id())
                .findFirst()
                .orElseThrow();
        assertThat(maud.page("/batteries/" + battery.code())).contains("Rack 1 left");
        maud.send(at() + "/places/" + full.id() + "/remove");
        assertThat(stand().slots()).anyMatch(s -> s.id() == full.id());
        int before = stand().slots().size();
        maud.send(at() + "/places");
        var added = stand().slots().get(before);
        maud.send(at() + "/places/" + added.id(), "code", "Stand A 2");
        assertThat(stand().slots().get(before).code()).as("taken").isEqualTo(added.code());
        maud.send(at() + "/places/" + added.id() + "/remove");
        assertThat(stand().slots()).hasSize(before);
        maud.send(at() + "/remove");
        assertThat(stand().slots()).hasSize(before);
    }

    @Test
    void theAirOfARoomIsWhatItsPeopleSay() throws Exception {
        maud.send(
                "/setup/rooms/main/air",
                "roomName",
                room().name(),
                "roomWidth",
                String.valueOf(room().widthCm()),
                "roomDepth",
                String.valueOf(room().depthCm()),
                "height",
                "3.2",
                "fan",
                "1200");
        assertThat(room().cubicMetres()).isEqualTo(room().widthCm() / 100.0 * room().depthCm() / 100.0 * 3.2);
        assertThat(room().air().fanCubicMetresPerHour()).isEqualTo(1200);
        var refused = maud.send(
                "/setup/rooms/main/air", "roomName", "Small", "roomWidth", "100", "roomDepth", "100", "height", "3");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("value=\"100\"");
    }

    @Test
    void anotherCodeAndModelLeaveThePastWhereItIs() throws Exception {
        var was = batteries.byCode("T-17").orElseThrow();
        int lines = ledger.ofBattery(was.id(), null, 1000).size();
        var roundAt = batteryStates.stateOf(was).roundAt();
        var other = models.all().stream()
                .filter(m -> m.model().cells() == was.type().model().cells()
                        && m.id() != was.type().id())
                .findFirst()
                .orElseThrow();
        var wrong = models.all().stream()
                .filter(m -> m.model().cells() != was.type().model().cells())
                .findFirst()
                .orElseThrow();
        assertThat(change("T-17", "T-17", wrong.id()).getStatus()).isEqualTo(422);
        assertThat(change("T-17", "T-170", other.id()).getRedirectedUrl()).isEqualTo("/setup/batteries");
        var is = batteries.byCode("T-170").orElseThrow();
        assertThat(is.id()).isEqualTo(was.id());
        assertThat(is.type().code()).isEqualTo(other.code());
        assertThat(ledger.ofBattery(is.id(), null, 1000)).hasSize(lines + 2);
        assertThat(ledger.ofBattery(is.id(), null, 2)).allMatch(e -> e.kind() == EntryKind.NOTE);
        assertThat(batteryStates.stateOf(is).roundAt()).isEqualTo(roundAt);
        assertThat(maud.page("/batteries/T-170/ledger")).contains("Was T-17, is now T-170.");
    }

    private org.springframework.mock.web.MockHttpServletResponse change(String of, String code, long model)
            throws Exception {
        var was = batteries.byCode(of).orElseThrow();
        return maud.send(
                "/setup/batteries/" + of,
                "code",
                code,
                "model",
                String.valueOf(model),
                "serial",
                was.serial(),
                "inService",
                was.inServiceOn().toString(),
                "slot",
                String.valueOf(was.slotId()),
                "version",
                String.valueOf(batteries.version(was.id())));
    }
}
