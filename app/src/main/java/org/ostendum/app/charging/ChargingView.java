package org.ostendum.app.charging;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.GasDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.change.RestOrder;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.room.RoomPlan;

/**
 * What the charging screen shows.
 *
 * @param ready waiting longest first, by kind of battery
 * @param air of the room in which most hydrogen is to be expected; null for a site without rooms
 * @param heldBack full and cool, but not fit for work before something is done
 */
record ChargingView(
        List<Running> running,
        List<CoolingLine> cooling,
        Map<String, List<ReadyLine>> ready,
        List<EqualiseLine> equalise,
        @Nullable RoomAir air,
        int heldBack) {

    /**
     * The air of a room.
     *
     * @param gas null where nothing charges in it
     * @param alarmAt when its hydrogen is expected to reach the alarm; null for never
     * @param most hydrogen expected, per cent
     * @param cubicMetres of air an hour with which it was worked out
     * @param measured what its sensor says; null where none is heard
     */
    record RoomAir(
            String room,
            @Nullable GasDrawing gas,
            @Nullable Instant alarmAt,
            double most,
            int cubicMetres,
            @Nullable AirStatus measured) {}

    /**
     * A battery on charge.
     *
     * @param cells that the current goes through
     * @param charger over its slot, null for none on the plan
     * @param whole from its start
     * @param left of it now
     * @param learnedFrom finished charges of this battery
     * @param misfits between it and its charger
     * @param kind what the charge is for
     * @param endNow why its charge has to be ended at once; null where it may run on
     * @param status what the charger says of itself; null where it is not heard
     * @param celsius of its electrolyte by its tag; null likewise
     */
    record Running(
            Battery battery,
            int cells,
            RoomPlan.@Nullable Charger charger,
            ChargeKind kind,
            Instant since,
            TimeToFull.Estimate whole,
            TimeToFull.Estimate left,
            int learnedFrom,
            List<Mismatch> misfits,
            @Nullable Message endNow,
            @Nullable ChargerStatus status,
            @Nullable Celsius celsius) {
        /** @return litres of hydrogen an hour, by its voltage; null where its charger is not heard */
        public @Nullable Integer gas() {
            return status == null
                    ? null
                    : (Integer) (int) Math.round(1000
                            * Gassing.ofCharge(cells, status.volts(), status.amperes(), celsius)
                                    .cubicMetres());
        }

        /** @return whether its charger says that nothing is plugged in, whatever the record says */
        public boolean isUnplugged() {
            return status != null && status.state() == ChargerStatus.State.EMPTY;
        }

        /** Whether it should have ended by now, as surely as its past says. */
        public boolean isOverdue() {
            return left.late().isZero();
        }

        public Instant likelyEnd() {
            return since.plus(whole.likely());
        }

        public Instant earlyEnd() {
            return since.plus(whole.early());
        }

        public Instant lateEnd() {
            return since.plus(whole.late());
        }

        /** Per cent of its time gone, never all of it while it runs. */
        public int part() {
            long all = Math.max(1, whole.likely().toSeconds());
            long gone = all - left.likely().toSeconds();
            return (int) Math.min(99, 100 * gone / all);
        }
    }

    /**
     * A battery that has charged and is not cool yet.
     *
     * @param celsius of its electrolyte; null where nothing measures it
     */
    record CoolingLine(
            Battery battery, @Nullable Instant end, Instant readyAt, Duration left, @Nullable Celsius celsius) {}

    /** One that may work, in its turn. */
    record ReadyLine(Battery battery, Instant since, RestOrder turn) {}
}
