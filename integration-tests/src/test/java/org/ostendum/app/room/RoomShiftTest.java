package org.ostendum.app.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.people.People;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A hydrometer that reads low makes every battery of the room look in want of charge: the pages say what is likelier. */
class RoomShiftTest extends ApplicationTest {
    private static final String TOLD = "points lower, all cells alike";
    private static final int BATTERIES = 6;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private RoundRecord record;

    @Autowired
    private People people;

    /** One round of each, so many days ago. */
    private void read(List<Battery> room, int daysAgo, int points) {
        long tom = people.byLogin("tom").orElseThrow().id();
        for (Battery battery : room) {
            List<CellReading> readings = IntStream.rangeClosed(
                            1, battery.type().model().cells())
                    .mapToObj(cell -> new CellReading(
                            cell, SpecificGravity.ofPoints(points), false, false, null, null, false, null, null))
                    .toList();
            record.record(
                    battery,
                    new Round(
                            TestClock.now().minus(Duration.ofDays(daysAgo)),
                            RoundState.FULL_CHARGE,
                            Celsius.of(25),
                            readings),
                    Coverage.WHOLE,
                    tom);
        }
    }

    @Test
    void whereAllReadLowerSinceOneDayTheHydrometerIsNamed() throws Exception {
        List<Battery> room = IntStream.range(0, BATTERIES)
                .mapToObj(i -> own.full("HY-" + i, "T-21"))
                .toList();
        for (int month = 5; month >= 2; month--) {
            read(room, 30 * month, 1285);
        }
        String battery = "/batteries/" + room.get(0).code();
        AsPerson vera = new AsPerson(mvc, "vera", "VIEWER");
        assertThat(vera.page("/rooms/" + OwnBatteries.ROOM)).doesNotContain(TOLD);
        read(room.subList(0, BATTERIES - 1), 20, 1263);
        read(room.subList(BATTERIES - 1, BATTERIES), 20, 1285);
        assertThat(vera.page("/rooms/" + OwnBatteries.ROOM)).contains(TOLD);
        assertThat(vera.page(battery))
                .contains("It does not get full")
                .contains(TOLD)
                .doesNotContain("How sure:");
        assertThat(vera.page("/batteries/" + room.get(BATTERIES - 1).code())).doesNotContain(TOLD);
        everyScreenSaysTheSame(vera, room.get(0).code());
    }

    /** The list of next things and programs say the hydrometer first, as the battery's page does. */
    private void everyScreenSaysTheSame(AsPerson vera, String battery) throws Exception {
        String first = "read one cell with a second one before anything is done";
        assertThat(vera.page("/rooms/" + OwnBatteries.ROOM)).contains(first);
        JsonNode state =
                Payload.read(mvc.perform(get("/api/v1/batteries/" + battery).with(httpBasic("vera", "lanternmoor")))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(state.at("/findings/0/doubt").asString("")).contains(TOLD);
        assertThat(state.at("/next/0/step").asString("")).isEqualTo("read_again");
        assertThat(state.at("/next/0/reason").asString("")).contains(first);
    }
}
