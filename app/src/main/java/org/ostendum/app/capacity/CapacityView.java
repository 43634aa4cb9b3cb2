package org.ostendum.app.capacity;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.capacity.TestReadiness.Asked;

/**
 * A battery's tests, and what stands before the next one.
 *
 * @param open the test under way
 * @param past the newest first
 * @param trend of its capacity over the years; null with too few tests
 * @param asked what has to hold before a test, with the answers of the battery's state
 * @param bank whether the house has a load bank
 * @param warm its temperature as it would be typed; empty where nobody has read it
 * @param unit of temperatures
 */
record CapacityView(
        Battery battery,
        @Nullable CapacityTest open,
        List<CapacityTest> past,
        @Nullable CapacityTrend trend,
        List<Asked> asked,
        boolean bank,
        String warm,
        String unit) {
    public BatteryModel model() {
        return battery.type().model();
    }

    public List<TestKind> kinds() {
        return TestKind.of(model().duty());
    }
}
