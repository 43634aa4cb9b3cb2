package org.ostendum.planner;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import java.util.List;
import org.jspecify.annotations.NullUnmarked;
import org.ostendum.core.plan.room.Lateness;
import org.ostendum.core.plan.room.Pairing;

/**
 * A shift of a machine with the charge that follows, or, without a shift, the charge of a battery that lacks something at the beginning.
 * Decided are the battery, the charger, and how long the charge waits. Times are seconds from the plan's beginning.
 */
@PlanningEntity
@NullUnmarked
public class WorkAndCharge implements Cloneable {
    static final long WAIT_STEP = 60;
    static final long NO_CHANGE = Long.MIN_VALUE;
    private static final long SAME_START = 900;

    @PlanningId
    String key;

    /** Key of the shift before on the same machine; null for the first. */
    String before;

    /** Battery in the machine before its first shift; null for others. */
    String found;

    /** In the order of beginning, unlike for any two: the first charges before all. */
    int order;

    /** When its battery has to be ready: somebody has to put it in. */
    long neededBy;

    boolean first;
    long start;
    long end;
    double ah;
    long until;
    Before earlier = Before.NONE;

    /** From when on its change is counted at the moment; {@link #NO_CHANGE} where none is. */
    long changeFrom = NO_CHANGE;

    /** Whether the score holds what it adds. */
    boolean counted;

    private Pairing pairing;
    private long chargeStart;
    private long chargeEnd;
    private boolean charged;

    private List<Stock> fitting = List.of();
    private List<Outlet> outlets = List.of();

    @PlanningVariable(valueRangeProviderRefs = "fitting", allowsUnassigned = true)
    private Stock battery;

    /** None for a battery that is left without a charge. */
    @PlanningVariable(valueRangeProviderRefs = "outlets", allowsUnassigned = true)
    private Outlet outlet;

    @PlanningVariable(valueRangeProviderRefs = "waits")
    private Integer wait;

    /** How it was in the plan before: what is not disturbed costs nothing. */
    record Before(String battery, String charger, long chargeStart) {
        static final Before NONE = new Before(null, null, Long.MIN_VALUE);
    }

    public WorkAndCharge() {}

    WorkAndCharge(String key, boolean first, long start, long end, double ah, long until) {
        this.key = key;
        this.first = first;
        this.start = start;
        this.end = end;
        this.ah = ah;
        this.until = until;
    }

    /** @return one that is decided alike, whose decisions can then be others */
    WorkAndCharge copy() {
        try {
            return (WorkAndCharge) super.clone();
        } catch (CloneNotSupportedException e) {
            throw new AssertionError(e);
        }
    }

    void mayTake(List<Stock> batteries, List<Outlet> chargers) {
        fitting = batteries;
        outlets = chargers;
    }

    void decide(Stock taken, Outlet charger, int waits) {
        battery = taken;
        outlet = charger;
        wait = waits;
        reckon();
    }

    @ValueRangeProvider(id = "fitting")
    public List<Stock> getFitting() {
        return fitting;
    }

    @ValueRangeProvider(id = "outlets")
    public List<Outlet> getOutlets() {
        return outlets;
    }

    public String getKey() {
        return key;
    }

    public Stock getBattery() {
        return battery;
    }

    public void setBattery(Stock battery) {
        this.battery = battery;
    }

    public Outlet getOutlet() {
        return outlet;
    }

    public void setOutlet(Outlet outlet) {
        this.outlet = outlet;
    }

    public Integer getWait() {
        return wait;
    }

    public void setWait(Integer wait) {
        this.wait = wait;
    }

    boolean isWorked() {
        return battery != null;
    }

    /** Works out once what follows from the decisions. */
    void reckon() {
        pairing = battery == null || outlet == null ? null : battery.on(outlet);
        chargeStart = startAfter(wait);
        charged = pairing != null && chargeStart < until;
        chargeEnd = pairing == null ? chargeStart : chargeStart + pairing.seconds(ah);
    }

    /** @return how many steps its charge would wait to begin then, or just after; below zero for what is too soon */
    long waits(long chargeStart) {
        return Math.floorDiv(chargeStart - end + WAIT_STEP - 1, WAIT_STEP);
    }

    /** @return when its charge begins after so many steps */
    long startAfter(long waits) {
        return end + WAIT_STEP * waits;
    }

    /** @return seconds that the battery’s charge after it would last there; 0 where it does not go */
    long lasts(Stock charged, Outlet charger) {
        Pairing pair = charged.on(charger);
        return pair == null ? 0 : pair.seconds(ah);
    }

    /** @return null for a battery that is not charged or does not go on that charger */
    Pairing pairing() {
        return pairing;
    }

    long chargeStart() {
        return chargeStart;
    }

    /** @return whether the charge begins within the plan */
    boolean isCharged() {
        return charged;
    }

    long chargeEnd() {
        return chargeEnd;
    }

    /** @return when the battery may work again */
    long ready() {
        return charged ? chargeEnd + battery.coolSeconds() : Long.MAX_VALUE / 2;
    }

    /** @return chance that the battery is not ready then */
    double lateness(long needed) {
        return charged ? Lateness.chance(chargeEnd - chargeStart, pairing.spread(), needed - ready()) : 0;
    }

    long finishSeconds() {
        return pairing == null ? 0 : Math.round(60 * pairing.finishMinutes());
    }

    /** @return how many things there are that can be otherwise than in the plan before */
    int mostMoves() {
        return earlier.battery() == null ? 0 : (first ? 0 : 1) + (earlier.charger() == null ? 0 : 1);
    }

    /** @return how many things are not as they were in the plan before */
    int moves() {
        if (earlier.battery() == null || battery == null) {
            return 0;
        }
        boolean other = !battery.code().equals(earlier.battery());
        boolean elsewhere = earlier.charger() != null
                && (other
                        || outlet == null
                        || !outlet.code().equals(earlier.charger())
                        || Math.abs(chargeStart() - earlier.chargeStart()) > SAME_START);
        return (other && !first ? 1 : 0) + (elsewhere ? 1 : 0);
    }

    @Override
    public String toString() {
        return key;
    }
}
