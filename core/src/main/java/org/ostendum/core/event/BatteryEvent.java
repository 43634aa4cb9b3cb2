package org.ostendum.core.event;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.Volts;

/**
 * Something that happened to a battery, or that was read off it, at one moment. The family is closed: a new kind of event is a
 * new record here, and the compiler shows who has to take note of it.
 */
public sealed interface BatteryEvent {
    Instant at();

    /** @return its kind as one word, such as {@code cell_replaced} */
    default String word() {
        return getClass().getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "_").toLowerCase(Locale.ROOT);
    }

    /**
     * It came to the site.
     *
     * @param dry shipped without electrolyte, to be filled and given its first charge
     */
    record Arrived(Instant at, boolean dry) implements BatteryEvent {}

    /** Its first charge is over. */
    record Commissioned(Instant at) implements BatteryEvent {}

    /**
     * It worked.
     *
     * @param taken Ah out; null where nobody has said
     */
    record Worked(Instant at, @Nullable AmpHours taken) implements BatteryEvent {}

    /**
     * Current was switched on.
     *
     * @param charger its code; null where nobody has said
     */
    record ChargeStarted(Instant at, ChargeKind kind, @Nullable String charger) implements BatteryEvent {}

    /**
     * Current was switched off.
     *
     * @param signs what spoke for full
     * @param returned Ah in; null where nobody has said
     */
    record ChargeEnded(Instant at, Ending ending, Set<FullSign> signs, @Nullable AmpHours returned)
            implements BatteryEvent {
        public ChargeEnded {
            signs = Set.copyOf(signs);
        }

        /** As plain records tell it. */
        public static ChargeEnded unstated(Instant at, @Nullable AmpHours returned) {
            return new ChargeEnded(at, Ending.UNSTATED, Set.of(), returned);
        }
    }

    /**
     * A low current on a battery already full is over.
     *
     * @param lasted null where nobody has said
     */
    record Equalised(Instant at, @Nullable Duration lasted) implements BatteryEvent {
        /** @return hours of it; 0 where nobody has said */
        public double hours() {
            return lasted == null ? 0 : lasted.toSeconds() / 3600.0;
        }
    }

    /** How far a watering went. */
    enum Fill {
        /** To the mark, as a watering should. */
        TO_MARK,
        /** Until the plates were just covered, before a charge. */
        COVERED,
        /** Nobody has said. */
        UNSTATED;

        /** As the line of the watering keeps it. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * Water was poured.
     *
     * @param poured ml, of the whole battery or of its one cell; null where nobody has said
     * @param cell null for the whole battery
     */
    record Watered(Instant at, @Nullable Millilitres poured, @Nullable Integer cell, Fill fill)
            implements BatteryEvent {
        /** @return ml; 0 where nobody has said */
        public int millilitres() {
            return poured == null ? 0 : poured.millilitres();
        }
    }

    /**
     * Electrolyte that stood above the mark was drawn off down to it.
     *
     * @param drawn ml; null where nobody has said
     * @param cell null for every cell that stood above
     */
    record DrewOff(Instant at, @Nullable Millilitres drawn, @Nullable Integer cell) implements BatteryEvent {}

    /**
     * The level of one cell was read.
     *
     * @param millimetres above the plates, negative where they show
     */
    record LevelRead(Instant at, int cell, double millimetres) implements BatteryEvent {}

    /** Its electrolyte was this warm at that moment. */
    record TemperatureRead(Instant at, Celsius celsius) implements BatteryEvent {}

    /** The highest temperature of a charge. */
    record HottestOfCharge(Instant at, Celsius celsius) implements BatteryEvent {}

    /** It was run flat and left so. */
    record StoodFlat(Instant at, Duration stood) implements BatteryEvent {}

    /** Its top was washed and dried. */
    record Washed(Instant at) implements BatteryEvent {}

    /**
     * One cell was taken out and another put in.
     *
     * @param serial of the new one; null where nobody has said
     */
    record CellReplaced(Instant at, int cell, @Nullable String serial) implements BatteryEvent {}

    /**
     * What stands on a cell was read from it: a cell that came with the battery gets its identity so.
     *
     * @param cell its position; in a pack any cell of the block, which bears one mark
     * @param serial of the maker, or a mark of one's own; null for none
     * @param dateCode as the maker stamps it; null for none
     */
    record CellMarked(Instant at, int cell, @Nullable String serial, @Nullable String dateCode)
            implements BatteryEvent {}

    /**
     * A bad cell was bridged, so that the battery works with one cell less for a time.
     *
     * @param until when the cell has to be renewed
     */
    record CellBridged(Instant at, int cell, Instant until) implements BatteryEvent {}

    /**
     * Blocks of a pack changed places.
     *
     * @param from the place in which the block now in each place stood before, from place 1 on
     */
    record BlocksMoved(Instant at, List<Integer> from) implements BatteryEvent {
        public BlocksMoved {
            from = List.copyOf(from);
        }

        /**
         * @param cell by its number before
         * @return its number now
         */
        public int now(int cell, int cellsPerBlock) {
            int place = from.indexOf((cell - 1) / cellsPerBlock + 1);
            return place < 0 ? cell : place * cellsPerBlock + (cell - 1) % cellsPerBlock + 1;
        }
    }

    /**
     * A watering kit was fitted: an injector in every cell, all on one tube.
     *
     * @param injector its kind, which goes with the model of battery
     * @param probe the cell that the level probe looks into; null for a kit without one
     */
    record KitFitted(Instant at, String injector, @Nullable Integer probe) implements BatteryEvent {}

    /** Its watering kit was looked over: flow, tube, floats. */
    record KitLookedAt(Instant at) implements BatteryEvent {}

    /** Its watering kit was taken off: before a flame or a drill, or for good. */
    record KitTakenOff(Instant at) implements BatteryEvent {}

    /**
     * The acid of a cell was brought back to its strength.
     *
     * @param cell null for several
     */
    record AcidAdjusted(Instant at, @Nullable Integer cell) implements BatteryEvent {}

    /** Its charger was looked at and found to end charges rightly, or was set so. */
    record ChargerChecked(Instant at) implements BatteryEvent {}

    /** Its cells were read. */
    record RoundTaken(Round round) implements BatteryEvent {
        @Override
        public Instant at() {
            return round.takenAt();
        }
    }

    /**
     * Its rest voltage was read, hours after charge or work.
     *
     * @param perCell the middle of its cells
     */
    record RestVoltageRead(Instant at, Volts perCell) implements BatteryEvent {}

    /**
     * An inspection found something wrong.
     *
     * @param id by which it is put right
     */
    record DefectFound(Instant at, String id, DefectKind kind) implements BatteryEvent {}

    /** @param id of the defect that was put right */
    record DefectRighted(Instant at, String id) implements BatteryEvent {}

    /**
     * It was put somewhere.
     *
     * @param slot words of the slot, null when it is in none
     * @param machine code of the machine it went into, null for none
     */
    record Moved(Instant at, @Nullable String slot, @Nullable String machine) implements BatteryEvent {}

    /** It was set aside: not to be issued until released. */
    record Held(Instant at, String reason) implements BatteryEvent {}

    record Released(Instant at) implements BatteryEvent {}

    /**
     * A discharge test was made to its end.
     *
     * @param taken Ah out
     * @param part of the rating at the reference temperature; 1 for all of it
     */
    record CapacityTested(Instant at, AmpHours taken, double part) implements BatteryEvent {}

    /**
     * A licensed mechanic signed for everything on record up to here.
     *
     * @param seal hash of the last line he signed for
     */
    record Signed(Instant at, String seal) implements BatteryEvent {}

    /** It was put away for a time without work. */
    record PutInStore(Instant at) implements BatteryEvent {}

    /** It left the site for good. */
    record Retired(Instant at) implements BatteryEvent {}
}
