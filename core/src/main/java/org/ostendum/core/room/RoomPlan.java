package org.ostendum.core.room;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charger.ChargerSheet;

/** A room and all that stands in it, but for the batteries. Lengths in centimetres from the back left corner. */
public record RoomPlan(long id, String code, String name, int widthCm, int depthCm, RoomAir air, List<Stand> stands) {

    public Stream<Slot> slots() {
        return stands.stream().flatMap(stand -> stand.slots().stream());
    }

    /** @return those over its slots and those on board of the machines parked in it */
    public Stream<Charger> chargers() {
        return slots().flatMap(slot -> Stream.concat(
                Stream.ofNullable(slot.charger()),
                Stream.ofNullable(slot.machine()).flatMap(machine -> Stream.ofNullable(machine.charger()))));
    }

    public double cubicMetres() {
        return air.over(widthCm / 100.0 * depthCm / 100.0);
    }

    /** @return how far to the right its stands reach, cm */
    public int rightOfStands() {
        return stands.stream().mapToInt(Stand::rightCm).max().orElse(0);
    }

    /** @return how far to the front the stands within its walls reach, cm: machines at the door stand outside */
    public int frontOfStands() {
        return stands.stream()
                .filter(s -> s.kind() != StandKind.DOOR)
                .mapToInt(Stand::frontCm)
                .max()
                .orElse(0);
    }

    /** @return depth of the drawing, what stands outside the door included, cm */
    public int drawnDepthCm() {
        return Math.max(depthCm, stands.stream().mapToInt(Stand::frontCm).max().orElse(0));
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
            List<Slot> slots) {
        public int rightCm() {
            return xCm + widthCm;
        }

        public int frontCm() {
            return yCm + depthCm;
        }

        /** @return whether two stand in each other; side by side they may touch */
        public boolean overlaps(Stand other) {
            return xCm < other.rightCm() && other.xCm < rightCm() && yCm < other.frontCm() && other.yCm < frontCm();
        }
    }

    /** @return the stand that another one, new or moved, would stand in */
    public Optional<Stand> inTheWayOf(Stand stand) {
        return stands.stream()
                .filter(other -> other.id() != stand.id() && other.overlaps(stand))
                .findFirst();
    }

    /**
     * A place on a stand, with the charger above it and the machine parked in it, if any.
     *
     * @param number along its stand, from 1
     * @param code by which people and files name it, the only one of its name in the site
     * @param tier 1 for the floor or the only one
     */
    public record Slot(
            long id, int number, String code, int tier, @Nullable Charger charger, @Nullable ParkedMachine machine) {}

    /**
     * A charger above a slot or on board of a machine.
     *
     * @param onBoardOf code of the machine it goes with; null for one that hangs or stands
     */
    public record Charger(long id, ChargerSheet sheet, @Nullable String onBoardOf) {
        /** @return whether it can charge what is in a machine: one on board charges no other's */
        public boolean reaches(@Nullable String machine) {
            return onBoardOf == null || onBoardOf.equals(machine);
        }

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

    /** A machine parked in a slot, with its charger on board, if any. */
    public record ParkedMachine(long id, String code, String name, @Nullable Charger charger) {}
}
