package org.ostendum.app.setup;

import jakarta.validation.constraints.PastOrPresent;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Code;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.inventory.Battery;

/**
 * A battery as typed.
 *
 * @param arrived "dry" for one that came without acid
 * @param slot and {@code machine}, {@code water}: ids; null for none
 * @param version of the record when it was shown; null for a new one
 */
record BatteryForm(
        @Code String code,
        @Needed @Text(max = 40) String serial,
        @Needed(message = Needed.CHOICE) @Nullable Long model,
        @PastOrPresent(message = "{fault.date.future}") @Nullable LocalDate made,
        @Needed(message = "{fault.no-date}") @PastOrPresent(message = "{fault.date.future}") LocalDate inService,
        @Nullable String arrived,
        @Nullable Long slot,
        @Nullable Long machine,
        @Nullable Long water,
        @Nullable Integer version) {

    /** An empty form for a battery that goes into service on a day. */
    static BatteryForm blank(LocalDate inService) {
        return new BatteryForm("", "", null, null, inService, null, null, null, null, null);
    }

    static BatteryForm of(Battery battery, int version) {
        return new BatteryForm(
                battery.code(),
                battery.serial(),
                battery.type().id(),
                battery.madeOn(),
                battery.inServiceOn(),
                null,
                battery.slotId(),
                battery.machineId(),
                battery.waterOwnerId(),
                version);
    }

    boolean cameDry() {
        return "dry".equals(arrived);
    }
}
