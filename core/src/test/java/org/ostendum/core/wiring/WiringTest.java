package org.ostendum.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.wiring.WiringFault.Kind;

/** A car's pack of six blocks of 8 V, with lights on the first two. */
class WiringTest {
    private static final AmpHours SIZE = AmpHours.of(170);
    private static final Pack SIX = pack(6, List.of(new Tap("lights", 1, 2)));

    private static Pack pack(int blocks, List<Tap> taps) {
        return Pack.of(LayoutText.parse(UsualLayout.text(blocks, UsualLayout.rows(blocks), 4), 4), taps);
    }

    private static List<String> cables(WorkOrder order) {
        return order.steps().stream().map(step -> step.cable().number()).toList();
    }

    private static List<Integer> volts(WorkOrder order) {
        return order.steps().stream()
                .map(step -> (int) Math.round(step.after().voltage().volts()))
                .toList();
    }

    @Test
    void theNegativeLeadComesOffFirstAndThePositiveLast() {
        WorkOrder apart = WorkOrder.apart(SIX, School.NEGATIVE_FIRST, SIZE);
        assertThat(cables(apart)).containsExactly("T1-", "T1+", "M-", "5", "4", "3", "2", "1", "M+");
        assertThat(apart.start().voltage()).isEqualTo(Volts.of(50.88));
        assertThat(apart.start().amperes()).isEqualTo(2040);
        assertThat(volts(apart)).containsExactly(51, 51, 51, 42, 34, 25, 17, 8, 8);
        assertThat(cables(WorkOrder.together(SIX, School.NEGATIVE_FIRST, SIZE)))
                .containsExactly("M+", "1", "2", "3", "4", "5", "M-", "T1+", "T1-");
    }

    @Test
    void theMiddleLinkHalvesIt() {
        WorkOrder apart = WorkOrder.apart(SIX, School.MIDDLE_FIRST, SIZE);
        assertThat(cables(apart)).startsWith("3");
        assertThat(volts(apart)).startsWith(25);
        assertThat(apart.voltMinutes())
                .isLessThan(WorkOrder.apart(SIX, School.NEGATIVE_FIRST, SIZE).voltMinutes());
    }

    /** The middle first, then each half in its middle; leads and taps when everything is down. */
    @Test
    void theLeastOrderGoesOnHalving() {
        WorkOrder apart = WorkOrder.apart(pack(4, List.of()), School.LEAST, SIZE);
        assertThat(cables(apart).get(0)).isEqualTo("2");
        assertThat(volts(apart)).containsExactly(17, 17, 8, 8, 8);
        assertThat(cables(WorkOrder.apart(SIX, School.LEAST, SIZE)).subList(5, 9))
                .containsExactlyInAnyOrder("M+", "M-", "T1+", "T1-");
    }

    @ParameterizedTest
    @EnumSource(School.class)
    void aPackOfTwelveIsSearchedInWellUnderASecond(School school) {
        Pack twelve = pack(12, List.of(new Tap("lights", 1, 2)));
        long before = System.nanoTime();
        WorkOrder order = WorkOrder.apart(twelve, school, SIZE);
        assertThat(Duration.ofNanos(System.nanoTime() - before)).isLessThan(Duration.ofSeconds(1));
        assertThat(order.steps()).hasSize(15);
        assertThatThrownBy(() -> WorkOrder.apart(pack(13, List.of()), school, SIZE))
                .isInstanceOf(OutOfRange.class);
    }

    @Test
    void aPackThatIsWholeAndRightHasNoFault() {
        assertThat(WiringCheck.faults(Wiring.whole(SIX))).isEmpty();
        assertThat(Potentials.of(Wiring.whole(SIX)).above(new Post(3, true))).isEqualTo(Volts.of(33.92));
    }

    private static List<Kind> kinds(Wiring wiring) {
        return WiringCheck.faults(wiring).stream().map(WiringFault::kind).toList();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void everyTurnedBlockIsPlaced(int block) {
        List<WiringFault> faults = WiringCheck.faults(Wiring.whole(SIX).with(block, -1));
        assertThat(faults.get(0).kind()).isEqualTo(Kind.BLOCK_TURNED);
        assertThat(faults.get(0).block()).isEqualTo(block);
        assertThat(faults).extracting(WiringFault::kind).contains(Kind.LIKE_POLES);
        assertThat(Potentials.of(Wiring.whole(SIX).with(block, -1)).between(Post.PLUG_PLUS, Post.PLUG_MINUS))
                .contains(Volts.of(50.88 - 2 * 8.48));
    }

    @ParameterizedTest
    @ValueSource(strings = {"M+", "1", "2", "3", "4", "5", "M-", "T1+", "T1-"})
    void everyMissingCableIsNamed(String cable) {
        assertThat(WiringCheck.faults(Wiring.whole(SIX).without(cable)))
                .singleElement()
                .satisfies(fault -> {
                    assertThat(fault.kind()).isEqualTo(Kind.CABLE_MISSING);
                    assertThat(fault.cable()).isEqualTo(cable);
                });
    }

    /** Links 1 and 2 go to each other's far end: 1- to 3+ and 2- to 2+, which closes block 2 upon itself. */
    @Test
    void crossedCablesAreFoundAndTheRingTheyClose() {
        Wiring crossed = Wiring.whole(SIX)
                .with("1", new Wiring.Ends(new Post(1, false), new Post(3, true)))
                .with("2", new Wiring.Ends(new Post(2, false), new Post(2, true)));
        assertThat(kinds(crossed)).containsOnlyOnce(Kind.RING).contains(Kind.CABLE_ASTRAY, Kind.CABLE_ASTRAY);
        assertThat(WiringCheck.faults(crossed))
                .filteredOn(fault -> fault.kind() == Kind.CABLE_ASTRAY)
                .extracting(WiringFault::cable)
                .containsExactly("1", "2");
    }

    @Test
    void aTapOnTheWrongBlockIsFound() {
        Wiring moved = Wiring.whole(SIX).with("T1+", new Wiring.Ends(new Post(3, true), null));
        assertThat(kinds(moved)).containsExactly(Kind.TAP_ASTRAY);
    }

    @Test
    void aBlockComesOutOnlyWhenNothingHoldsIt() {
        assertThatThrownBy(() -> Wiring.whole(SIX).with(3, 0)).hasMessageContaining("Block 3");
        assertThat(kinds(Wiring.bare(SIX).with(3, 0))).contains(Kind.BLOCK_OUT);
        assertThat(Potentials.of(Wiring.bare(SIX).with(3, 0)).between(new Post(3, true), new Post(3, false)))
                .isEmpty();
    }

    private static List<String> told(String blocks, String string) {
        Map<Integer, Volts> read = new TreeMap<>();
        String[] each = blocks.split(" ");
        for (int i = 0; i < each.length; i++) {
            read.put(i + 1, Volts.of(Double.parseDouble(each[i])));
        }
        PackVolts volts = new PackVolts(SIX, read, string.isEmpty() ? null : Volts.of(Double.parseDouble(string)));
        return volts.faults().stream().map(Message::key).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "8.5 8.5 8.4 8.5 8.5 8.5, 50.9, ''",
        "8.5 8.5 -8.4 8.5 8.5 8.5, 34, pack-volts.turned",
        "8.5 8.5 8.4 8.5 8.5 8.5, 34, pack-volts.string-turned",
        "8.5 8.5 8.4 8.5 8.5 8.5, 0.1, pack-volts.open",
        "8.5 8.5 8.4 8.5 8.5 8.5, 42.4, pack-volts.string",
        "8.5 8.5 6.3 8.5 8.5 8.5, 48.8, pack-volts.low",
        "8.5 8.5 8.4, '', pack-volts.unread",
        "8.5 8.5 8.4 8.5 8.5 8.5, '', pack-volts.no-string"
    })
    void theVoltmeterTellsWhatKeepsTheLastLinkOff(String blocks, String string, String fault) {
        assertThat(told(blocks, string)).isEqualTo(fault.isEmpty() ? List.of() : List.of(fault));
    }

    private static Pack fitted(Fitting... fittings) {
        return Pack.of(SIX.layout(), List.of(), List.of(fittings));
    }

    private static Fitting shroud(Post post) {
        return new Fitting(Fitting.Kind.SHROUD, post.text());
    }

    /** Under shrouds nothing can be bridged until a cable is worked on, and then no more than its own two posts. */
    @Test
    void whatIsUnderAShroudCannotBeBridged() {
        Pack pack = fitted(SIX.cables().stream()
                .flatMap(cable -> cable.posts().stream())
                .distinct()
                .map(WiringTest::shroud)
                .toArray(Fitting[]::new));
        assertThat(Potentials.of(Wiring.whole(pack)).reach(SIZE).voltage())
                .as("between the plug's contacts")
                .isEqualTo(Volts.of(50.88));
        Pack switched = Pack.of(
                pack.layout(),
                List.of(),
                Stream.concat(pack.fittings().stream(), Stream.of(new Fitting(Fitting.Kind.MAIN_SWITCH, "M-")))
                        .toList());
        WorkOrder apart = WorkOrder.apart(switched, School.MIDDLE_FIRST, SIZE);
        assertThat(apart.start().voltage().millivolts()).isZero();
        assertThat(apart.start().amperes()).isZero();
        WorkOrder.Step middle = apart.steps().get(0);
        assertThat(middle.cable().number()).isEqualTo("3");
        assertThat(middle.before().voltage())
                .as("from the plug's live contact to the link")
                .isEqualTo(Volts.of(25.44));
        assertThat(middle.before().canBeFelt()).isFalse();
        assertThat(apart.voltMinutes())
                .isLessThan(WorkOrder.apart(SIX, School.MIDDLE_FIRST, SIZE).voltMinutes());
    }

    @Test
    void theMainSwitchPartsThePlugAndNotTheBlocks() {
        Pack pack = fitted(new Fitting(Fitting.Kind.MAIN_SWITCH, "M+"));
        Potentials off = Potentials.of(Wiring.whole(pack).switchedOff());
        assertThat(off.between(Post.PLUG_PLUS, Post.PLUG_MINUS)).isEmpty();
        assertThat(off.between(new Post(1, true), new Post(6, false))).contains(Volts.of(50.88));
        assertThat(Potentials.of(Wiring.whole(pack)).between(Post.PLUG_PLUS, Post.PLUG_MINUS))
                .contains(Volts.of(50.88));
    }

    @Test
    void aSenseLeadIsALeadOfThePack() {
        Pack pack = fitted(new Fitting(Fitting.Kind.SENSE_LEAD, "3+"));
        Cable lead = pack.cable("S1").orElseThrow();
        assertThat(lead.from()).isEqualTo(new Post(3, true));
        assertThat(lead.isLead()).isTrue();
        assertThat(cables(WorkOrder.apart(pack, School.NEGATIVE_FIRST, SIZE))).startsWith("S1");
        assertThat(WiringCheck.faults(Wiring.whole(pack).without("S1")))
                .singleElement()
                .extracting(WiringFault::cable)
                .isEqualTo("S1");
    }

    @Test
    void aMainSwitchSitsInAMainLeadAndAFuseInNoLead() {
        assertThat(Fitting.possible(SIX))
                .contains(new Fitting(Fitting.Kind.MAIN_SWITCH, "M-"), new Fitting(Fitting.Kind.FUSE, "3"))
                .doesNotContain(new Fitting(Fitting.Kind.MAIN_SWITCH, "3"), new Fitting(Fitting.Kind.FUSE, "T1+"))
                .hasSize(2 + 7 + 12 + 12);
    }
}
