package org.ostendum.app.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
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
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A hydrometer that reads low makes every battery of the room look in want of charge: the pages say what is likelier. */
class RoomShiftTest extends ApplicationTest {
    private static final String TOLD = "points lower, all cells alike";
    private static final int BATTERIES = 6;
    private static final int FULL = 1285;
    private static final int LOW = 1263;
    private static final String HY = "/rooms/tests-hy";
    private static final String HZ = "/rooms/tests-hz";
    private static final String COMPARING = "/hydrometer";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Rooms rooms;

    @Autowired
    private Batteries batteries;

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

    /** Batteries that read full for months, in a room of their own: what is said of its hydrometer touches no others. */
    private List<Battery> room(String named) {
        long id = rooms.add(named, "Room " + named, 1500, 800);
        rooms.addStand(id, new Stand(0, "S", "Stand", StandKind.STAND, 40, 40, 1400, 100, List.of()), BATTERIES);
        List<Long> slots =
                rooms.byCode(named).orElseThrow().slots().map(RoomPlan.Slot::id).toList();
        List<Battery> room = IntStream.range(0, BATTERIES)
                .mapToObj(i -> placed(own.full(named + "-" + i, "T-21"), slots.get(i)))
                .toList();
        for (int month = 5; month >= 2; month--) {
            read(room, 30 * month, FULL);
        }
        return room;
    }

    private Battery placed(Battery battery, long slot) {
        batteries.place(battery.id(), slot, null);
        return batteries.byId(battery.id()).orElseThrow();
    }

    @Test
    void whereAllReadLowerSinceOneDayTheHydrometerIsNamed() throws Exception {
        List<Battery> room = room("tests-hy");
        String battery = "/batteries/" + room.get(0).code();
        AsPerson vera = new AsPerson(mvc, "vera", "VIEWER");
        assertThat(vera.page(HY)).doesNotContain(TOLD);
        read(room.subList(0, BATTERIES - 1), 20, LOW);
        read(room.subList(BATTERIES - 1, BATTERIES), 20, FULL);
        assertThat(vera.page(HY)).contains(TOLD);
        assertThat(vera.page(battery))
                .contains("It does not get full")
                .contains(TOLD)
                .doesNotContain("How sure:");
        assertThat(vera.page("/batteries/" + room.get(BATTERIES - 1).code())).doesNotContain(TOLD);
        everyScreenSaysTheSame(vera, room.get(0).code());
        assertThat(Pattern.compile("Compare the hydrometer at [\\w-]+")
                        .matcher(vera.page(HY))
                        .results()
                        .map(MatchResult::group)
                        .distinct())
                .as("once for the room, not at each battery")
                .hasSize(1);
        whatHasBeenComparedIsBelieved(room);
    }

    /** The second hydrometer shows the same: the readings stand, and what they call for is told again. */
    private void whatHasBeenComparedIsBelieved(List<Battery> room) throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        String battery = "/batteries/" + room.get(0).code();
        assertThat(tom.page(battery)).contains("Compare the hydrometer at").contains(battery + "/hydrometer");
        assertThat(tom.ask(get(battery + "/hydrometer")).getRedirectedUrl()).isEqualTo(HY + COMPARING);
        assertThat(tom.sendFrom(HY + COMPARING, HY + COMPARING, "result", "RIGHT")
                        .getStatus())
                .isEqualTo(302);
        assertThat(tom.page(HY)).doesNotContain(TOLD);
        assertThat(tom.page(battery)).doesNotContain(TOLD).contains("How sure:").contains("It does not get full");
        read(room, 1, LOW);
        assertThat(tom.page(HY)).as("as low as before").doesNotContain(TOLD);
    }

    /** It read lower than the second one: the rounds are put right, judged anew, and their past stays whole. */
    @Test
    void whatWasReadWithAWrongHydrometerIsPutRight() throws Exception {
        List<Battery> room = room("tests-hz");
        read(room, 20, LOW);
        AsPerson tom = AsPerson.tom(mvc);
        String battery = "/batteries/" + room.get(0).code();
        assertThat(tom.page(battery)).contains("It does not get full");
        String[] low = {"result", "LOW", "points", String.valueOf(FULL - LOW), "since", "", "note", "the blue one"};
        assertThat(tom.sendFrom(HZ + COMPARING, HZ + COMPARING, low).getContentAsString())
                .contains("Say since which day");
        low[5] = day(21);
        String seen = tom.seen(HZ + COMPARING);
        assertThat(tom.sendFrom(HZ + COMPARING, HZ + COMPARING, low).getStatus())
                .isEqualTo(302);
        assertThat(tom.page(HZ)).doesNotContain(TOLD);
        assertThat(tom.page(battery)).as("nothing stands against it").doesNotContain("How sure:");
        assertThat(tom.page(battery + "/ledger"))
                .contains("+" + (FULL - LOW) + " points")
                .contains("the blue one");
        assertThat(maudChecks(room.get(0))).contains("The past is whole");
        twiceIsNotTaken(tom, low, seen);
    }

    /** Sent again by a page that was open meanwhile, it would be put right twice. */
    private void twiceIsNotTaken(AsPerson tom, String[] low, String seen) throws Exception {
        String[] again = Arrays.copyOf(low, low.length + 2);
        again[low.length] = "seen";
        again[low.length + 1] = seen;
        MockHttpServletResponse answer = tom.send(HZ + COMPARING, again);
        assertThat(answer.getStatus()).isEqualTo(409);
        assertThat(answer.getContentAsString())
                .contains("Somebody else has said meanwhile")
                .contains("the blue one");
    }

    private String maudChecks(Battery battery) throws Exception {
        return AsPerson.maud(mvc).page("/batteries/" + battery.code() + "/ledger?check=");
    }

    private static String day(int daysAgo) {
        return LocalDate.ofInstant(TestClock.now().minus(Duration.ofDays(daysAgo)), ZoneOffset.UTC)
                .toString();
    }

    /** The list of next things and programs say the hydrometer first, as the battery's page does. */
    private void everyScreenSaysTheSame(AsPerson vera, String battery) throws Exception {
        String first = "read one cell with a second one before anything is done";
        assertThat(vera.page(HY)).contains(first);
        JsonNode state =
                Payload.read(mvc.perform(get("/api/v1/batteries/" + battery).with(httpBasic("vera", "lanternmoor")))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(state.at("/findings/0/doubt").asString("")).contains(TOLD);
        assertThat(state.at("/next/0/step").asString("")).isEqualTo("compare_hydrometer");
        assertThat(state.at("/next/0/reason").asString("")).contains(first);
    }
}
