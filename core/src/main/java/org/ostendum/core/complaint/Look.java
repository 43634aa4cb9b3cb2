package org.ostendum.core.complaint;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A look, a question or a reading that tells causes apart, with the hands-on minutes it takes (rules of thumb). */
public enum Look {
    ASK_WORK(1, Outcome.MORE_WORK, Outcome.AS_EVER),
    TOP(1, Outcome.DIRTY, Outcome.CLEAN),
    WARMTH(2, Outcome.POST_HOT, Outcome.CELL_HOT, Outcome.ALL_HOT, Outcome.NORMAL),
    VOLTS_AT_REST(2, Outcome.BELOW_LOCK_OUT, Outcome.LOW, Outcome.FULL),
    CHARGES_ON_RECORD(2, Outcome.SHORT, Outcome.TOO_LONG, Outcome.FULL, Outcome.NONE),
    /** One probe on a post, the other drawn over the top: what it reads there, the dirt leads away. */
    STRAY_VOLTS(3, Outcome.READS, Outcome.READS_NOTHING),
    LEVELS(4, Outcome.BARE, Outcome.LOW, Outcome.FINE, Outcome.OVER),
    CHARGER_STARTS(4, Outcome.DEAD, Outcome.NOT_WITH_THIS, Outcome.STARTS),
    CONNECTIONS(5, Outcome.LOOSE, Outcome.SOUND),
    /** Each joint while current flows: a sound one drops next to nothing. */
    DROP_AT_JOINTS(6, Outcome.ONE_HIGH, Outcome.ALL_ALIKE),
    /** The same battery on a charger known to be good: the charge takes its hours, the hands these minutes. */
    ANOTHER_CHARGER(6, Outcome.TROUBLE_GONE, Outcome.TROUBLE_STAYS),
    CHARGER_AMPS(8, Outcome.TOO_LITTLE, Outcome.TOO_MUCH, Outcome.RIGHT),
    LOAD(8, Outcome.GOOD, Outcome.WEAK, Outcome.ONE_DROPS),
    MACHINE_AMPS(10, Outcome.TOO_MUCH, Outcome.NORMAL),
    /** The same machine at the same work with a battery known to be good. */
    ANOTHER_BATTERY(15, Outcome.TROUBLE_STAYS, Outcome.TROUBLE_GONE),
    GRAVITIES(12, Outcome.ALL_LOW, Outcome.ONE_LOW, Outcome.EVEN),
    /** Charged to its end on a charger known to be good, then read: the charge takes its hours, the hands these minutes. */
    AFTER_FULL_CHARGE(15, Outcome.COMES_UP, Outcome.ALL_LOW, Outcome.ONE_LOW),
    CAPACITY_TEST(30, Outcome.GOOD, Outcome.WEAK, Outcome.ONE_DROPS);

    private final int minutes;
    /** Parted by blanks: an enum holds nothing that can change. */
    private final String outcomes;

    Look(int minutes, Outcome... outcomes) {
        this.minutes = minutes;
        this.outcomes = Stream.of(outcomes).map(Outcome::name).collect(Collectors.joining(" "));
    }

    /** @return of somebody's hands */
    public int minutes() {
        return minutes;
    }

    /** @return all it may show */
    public List<Outcome> outcomes() {
        return Stream.of(outcomes.split(" ", -1)).map(Outcome::valueOf).toList();
    }

    /** What a look shows. */
    public enum Outcome {
        MORE_WORK,
        AS_EVER,
        DIRTY,
        CLEAN,
        POST_HOT,
        CELL_HOT,
        ALL_HOT,
        NORMAL,
        BELOW_LOCK_OUT,
        LOW,
        FULL,
        SHORT,
        TOO_LONG,
        NONE,
        BARE,
        FINE,
        OVER,
        DEAD,
        NOT_WITH_THIS,
        STARTS,
        LOOSE,
        SOUND,
        TOO_LITTLE,
        TOO_MUCH,
        RIGHT,
        GOOD,
        WEAK,
        ONE_DROPS,
        ALL_LOW,
        ONE_LOW,
        EVEN,
        COMES_UP,
        READS,
        READS_NOTHING,
        ONE_HIGH,
        ALL_ALIKE,
        TROUBLE_GONE,
        TROUBLE_STAYS
    }
}
