package org.ostendum.planner;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.NullUnmarked;
import org.ostendum.core.plan.PlanProblem.Pairing;

/**
 * A shift of a machine with the charge that follows, or, without a shift, the charge of a battery that lacks something at the beginning.
 * Decided are the battery, the charger, and how long the charge waits. Times are seconds from the plan's beginning.
 */
@PlanningEntity
@NullUnmarked
public class WorkAndCharge {
    /** A charge waits by quarters of an hour. */
    static final long WAIT_STEP = 900;

    @PlanningId
    String key;

    /** Key of the shift before on the same machine; null for the first. */
    String before;

    /** Battery in the machine before its first shift; null for others. */
    String found;

    boolean first;
    long start;
    long end;
    double ah;
    long until;
    Before earlier = Before.NONE;

    private List<Stock> fitting = List.of();
    private List<Outlet> outlets = List.of();

    @PlanningVariable(valueRangeProviderRefs = "fitting", allowsUnassigned = true)
    private Stock battery;

    @PlanningVariable(valueRangeProviderRefs = "outlets")
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

    void mayTake(List<Stock> batteries, List<Outlet> chargers) {
        fitting = batteries;
        outlets = chargers;
    }

    void decide(Stock taken, Outlet charger, int waits) {
        battery = taken;
        outlet = charger;
        wait = waits;
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

    public String getBefore() {
        return before;
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

    /** @return null for a battery that does not go on that charger */
    Pairing pairing() {
        return battery == null || outlet == null ? null : battery.pairings().get(outlet.code());
    }

    long chargeStart() {
        return end + WAIT_STEP * wait;
    }

    /** @return whether the charge begins within the plan */
    boolean isCharged() {
        return battery != null && chargeStart() < until && pairing() != null;
    }

    long chargeEnd() {
        Pairing pair = pairing();
        return pair == null ? chargeStart() : chargeStart() + pair.seconds(ah);
    }

    /** @return when the battery may work again */
    long ready() {
        return isCharged() ? chargeEnd() + battery.coolSeconds() : Long.MAX_VALUE;
    }

    boolean isOnAt(WorkAndCharge other) {
        return isCharged()
                && other.isCharged()
                && chargeStart() < other.chargeEnd()
                && other.chargeStart() < chargeEnd();
    }

    List<Load> loads() {
        if (!isCharged()) {
            return List.of();
        }
        long chargeEnd = chargeEnd();
        long gas = chargeEnd - Math.round(60 * pairing().finishMinutes());
        List<Load> loads = new ArrayList<>();
        for (long half = chargeStart() / Load.SECONDS; half * Load.SECONDS < chargeEnd; half++) {
            boolean gasses = (half + 1) * Load.SECONDS > gas;
            loads.add(new Load(
                    (int) half,
                    Math.round(1000 * outlet.kw()),
                    gasses ? Math.round(1000 * outlet.litresPerHour()) : 0));
        }
        return loads;
    }

    @Override
    public String toString() {
        return key;
    }
}
