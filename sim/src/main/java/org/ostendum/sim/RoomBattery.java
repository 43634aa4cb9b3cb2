package org.ostendum.sim;

import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;

/** A simulated battery that stands in a room and is moved on a moment at a time. */
public final class RoomBattery {
    private static final double LONGEST_STEP = 1 / 60.0;
    /** Reserve at which the sensor of a level lamp hangs dry. */
    private static final double LAMP_AT = 0.15;

    private final CellBank bank;
    private final Chemistry chemistry;
    private double gassed;

    private RoomBattery(CellBank bank) {
        this.bank = bank;
        this.chemistry = new Chemistry(bank.cells);
        chemistry.ambient = bank.celsius;
    }

    /** @param missing part of its capacity, 0 to 0.9 */
    public static RoomBattery of(BatteryModel model, double missing, long seed) {
        RoomBattery battery = new RoomBattery(new CellBank(model, new Random(seed)));
        battery.take(missing);
        return battery;
    }

    /** Brings each cell down to where so much is missing, as work has left it; one that lacks more stays as it is. */
    public void take(double missing) {
        for (int i = 0; i < bank.cells; i++) {
            bank.missing[i] = Math.max(bank.missing[i], missing);
        }
    }

    /** @param amps into it, negative out of it */
    public void pass(double amps, Duration time) {
        double hours = time.toMillis() / 3_600_000.0;
        double water = water();
        while (hours > 1e-9) {
            double step = Math.min(LONGEST_STEP, hours);
            chemistry.step(bank, amps, step);
            hours -= step;
        }
        gassed += (water - water()) / Chemistry.WATER_SPLIT * bank.capacity;
    }

    private double water() {
        double sum = 0;
        for (double cell : bank.water) {
            sum += cell;
        }
        return sum;
    }

    /** @return cell-ampere-hours turned into gas since the last call */
    public double gassed() {
        double since = gassed;
        gassed = 0;
        return since;
    }

    public int cells() {
        return bank.cells;
    }

    public double capacity() {
        return bank.capacity;
    }

    /** @return Ah that an ordinary charge has still to bring back */
    public double lacking() {
        return bank.softMissing() * bank.capacity;
    }

    /** @param amps that flow in; 0 for at rest */
    public Volts volts(double amps) {
        double sum = 0;
        for (int i = 0; i < bank.cells; i++) {
            sum += amps > 0 ? Chemistry.voltsOnCharge(bank, i, amps) : Chemistry.voltsAtRest(bank, i);
        }
        return Volts.of(Math.round(sum * 100) / 100.0);
    }

    /** @return volts of each cell while so many amperes flow out */
    public List<Double> giving(double amps) {
        return IntStream.range(0, bank.cells)
                .mapToObj(i -> Discharge.volts(bank, i, amps))
                .toList();
    }

    /** Lets age have taken so much of the plates of every cell, and more of one. */
    public void wear(double part, int worst, double more) {
        for (int i = 0; i < bank.cells; i++) {
            bank.plates[i] -= part + (i == worst - 1 ? more : 0);
        }
    }

    /** A dirty top takes so many times what the cells lose by themselves, beside that. */
    public void soil(double times) {
        for (int i = 0; i < bank.cells; i++) {
            chemistry.drain[i] = times * bank.leak[i];
        }
    }

    /** Lets age have made its own losses so much larger. */
    public void leak(double times) {
        for (int i = 0; i < bank.cells; i++) {
            bank.leak[i] *= times;
        }
    }

    /** @return of the cell that has least */
    public CorrectedGravity lowestGravity() {
        CorrectedGravity lowest = bank.mixedGravity(0);
        for (int i = 1; i < bank.cells; i++) {
            lowest = bank.mixedGravity(i).compareTo(lowest) < 0 ? bank.mixedGravity(i) : lowest;
        }
        return lowest;
    }

    /** The place it stands in. */
    public void standAt(Celsius place) {
        chemistry.ambient = place.degrees();
    }

    public Celsius celsius() {
        return Celsius.of(Math.max(-30, Math.min(99, bank.celsius)));
    }

    /** @return part of the reserve above the plates of the driest cell: below 0 they are bare */
    public double leastReserve() {
        double least = Double.MAX_VALUE;
        for (int i = 0; i < bank.cells; i++) {
            least = Math.min(least, bank.reserveLeft(i));
        }
        return least;
    }

    /** Lets so much of the reserve have gone already, as some weeks without water do. */
    public void dry(double part) {
        pour(-part * CellBank.RESERVE * bank.capacity);
    }

    /** @return A that a tapering charger of the right size gives now */
    public double charging() {
        return Charger.RIGHT.amps(bank);
    }

    /** @return Ah that it puts back before it ends, for so many taken out */
    public double wanted(double taken) {
        return Charger.RIGHT.wanted(bank, taken);
    }

    public boolean isLevelLow() {
        return bank.reserveLeft(0) < LAMP_AT;
    }

    /** @param cell from 1 */
    public CorrectedGravity gravity(int cell) {
        return bank.mixedGravity(cell - 1);
    }

    /** @return ml wanted to bring one cell to its mark, from 1 */
    public double toMark(int cell) {
        return Math.max(0, 1 - bank.reserveLeft(cell - 1)) * CellBank.RESERVE * bank.capacity;
    }

    public void pour(double millilitresEach) {
        for (int i = 0; i < bank.cells; i++) {
            bank.pour(i, millilitresEach / bank.capacity);
        }
    }
}
