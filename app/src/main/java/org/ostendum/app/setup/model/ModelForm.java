package org.ostendum.app.setup.model;

import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.CommonLayout;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.life.Prices;
import org.ostendum.core.receive.DateScheme;

/**
 * A battery model as typed from the maker's sheet.
 *
 * @param cellsPerCase cells in one case
 * @param layout as {@code LayoutText} reads it
 * @param capacity Ah
 * @param rate hours in which the capacity is drawn
 * @param empty and {@code recharge}, {@code fullFrom}, {@code fullTo}: gravities, points
 * @param mark electrolyte above the plates at the mark, mm
 * @param weight kg; 0 where nobody has said
 * @param opportunity anything for a sheet that allows short charges in the breaks
 * @param torque of its posts, N·m; null where the sheet says nothing
 * @param cables "left" where they leave at the left hand
 * @param priceNew and {@code priceCell}, {@code coreCredit}, {@code lifeCycles}: all four or none
 * @param version of the record when it was shown; null for a new one
 */
record ModelForm(
        @Needed @Text(max = 30) String code,
        @Needed @Text(max = 60) String maker,
        @Needed(message = Needed.CHOICE) @Nullable CellKind kind,
        @Needed(message = Needed.CHOICE) @Nullable Duty duty,
        @Needed @Within(min = "1", max = "6") @Nullable Integer cellsPerCase,
        @Needed @Text(max = 400) String layout,
        @Needed @Within(min = "1", max = "5000") @Nullable Double capacity,
        @Needed @Within(min = "0.5", max = "100") @Nullable Double rate,
        @Needed @Within(min = "1000", max = "1400") @Nullable Integer empty,
        @Needed @Within(min = "1000", max = "1400") @Nullable Integer recharge,
        @Needed @Within(min = "1000", max = "1400") @Nullable Integer fullFrom,
        @Needed @Within(min = "1000", max = "1400") @Nullable Integer fullTo,
        @Needed @Within(min = "1", max = "100") @Nullable Integer mark,
        @Needed @Text(max = 160) String markWords,
        @Needed @Within(min = "0", max = "5000") @Nullable Integer weight,
        @Nullable DateScheme scheme,
        @Text(max = 40) @Nullable String connector,
        @Nullable String opportunity,
        @Within(min = "1", max = "60") @Nullable Double torque,
        @Nullable String cables,
        @Within(min = "1", max = "1000000") @Nullable Double priceNew,
        @Within(min = "0", max = "1000000") @Nullable Double priceCell,
        @Within(min = "0", max = "1000000") @Nullable Double coreCredit,
        @Within(min = "50", max = "5000") @Nullable Integer lifeCycles,
        @Nullable Integer version) {

    /** A form to begin with: a battery that stands as such do. */
    static ModelForm usual(CommonLayout common) {
        GravityMarks marks = GravityMarks.usualFor(common.duty());
        return new ModelForm(
                "",
                "",
                null,
                common.duty(),
                common.cellsPerCase(),
                common.layout().text(),
                null,
                6.0,
                marks.empty().points(),
                marks.rechargeBelow().points(),
                marks.fullFrom().points(),
                marks.fullTo().points(),
                null,
                "",
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    static ModelForm of(StoredModel stored, int version) {
        BatteryModel model = stored.model();
        GravityMarks marks = model.marks();
        @Nullable Prices prices = stored.prices();
        return new ModelForm(
                stored.code(),
                stored.maker(),
                model.kind(),
                model.duty(),
                model.layout().cellsPerCase(),
                model.layout().text(),
                model.capacity().ampHours(),
                model.rateHours(),
                marks.empty().points(),
                marks.rechargeBelow().points(),
                marks.fullFrom().points(),
                marks.fullTo().points(),
                stored.levelMarkMm(),
                stored.levelWords(),
                stored.weightKg(),
                stored.dateScheme(),
                stored.connector(),
                stored.opportunity() ? "yes" : null,
                stored.torqueTenths() == 0 ? null : (Double) (stored.torqueTenths() / 10.0),
                stored.cablesLeft() ? "left" : "right",
                prices == null ? null : (Double) prices.newBattery(),
                prices == null ? null : (Double) prices.cellRepair(),
                prices == null ? null : (Double) prices.coreCredit(),
                prices == null ? null : (Integer) prices.cycles(),
                version);
    }

    /** With some of its prices no sum can be worked: all four or none. */
    boolean hasNoPrices() {
        return Stream.of(priceNew, priceCell, coreCredit, lifeCycles).allMatch(Objects::isNull);
    }
}
