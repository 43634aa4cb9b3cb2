package org.ostendum.core.room;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charger.ChargerSheet;

/** A room and all that stands in it, but for the batteries. Lengths in centimetres from the back left corner. */
public record RoomPlan(long id, String code, String name, int widthCm, int depthCm, List<Stand> stands) {
    /** Plans hold no height: a usual ceiling, m. */
    private static final double CEILING_METRES = 4;

    public Stream<Slot> slots() {
        return stands.stream().flatMap(stand -> stand.slots().stream());
    }

    public Stream<Charger> chargers() {
        return slots().flatMap(slot -> Stream.ofNullable(slot.charger()));
    }

    /** @return m³ under a usual ceiling */
    public double cubicMetres() {
        return widthCm / 100.0 * depthCm / 100.0 * CEILING_METRES;
    }

    /** What a stand is for. */
    public enum StandKind {
        /** Batteries on a rack or roller bed. */
        STAND,
        /** Machines that are charged in place. */
        PARKING,
        BENCH,
        /** Machines outside the door. */
        DOOR
    }

    /** A row of slots. */
    public record Stand(
            long id,
            String code,
            String name,
            StandKind kind,
            int xCm,
            int yCm,
            int widthCm,
            int depthCm,
            List<Slot> slots) {}

    /** A place on a stand, with the charger above it and the machine parked in it, if any. */
    public record Slot(long id, int number, @Nullable Charger charger, @Nullable ParkedMachine machine) {}

    /** A charger above a slot. */
    public record Charger(long id, ChargerSheet sheet) {
        public String code() {
            return sheet.code();
        }

        /** @return cells of the largest battery it charges */
        public int cells() {
            return sheet.mostCells();
        }

        public double amps() {
            return sheet.amperes().amperes();
        }
    }

    /** A machine parked in a slot. */
    public record ParkedMachine(long id, String code, String name) {}
}
