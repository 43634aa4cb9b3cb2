package org.ostendum.app.setup.model;

import static org.ostendum.app.form.Checked.given;

import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutFault;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.life.Prices;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.receive.DateScheme;
import org.springframework.validation.BindingResult;

/** Makes a model of what was typed; what cannot be together is told beside its field. */
final class ModelReading {
    private final ModelForm form;
    private final BindingResult errors;

    private ModelReading(ModelForm form, BindingResult errors) {
        this.form = form;
        this.errors = errors;
    }

    /** @return the model, empty where anything in the form is wrong */
    static Optional<StoredModel> read(long id, @Nullable ModelForm form, BindingResult errors) {
        return form == null ? Optional.empty() : new ModelReading(form, errors).model(id);
    }

    private Optional<StoredModel> model(long id) {
        checkCases();
        checkPrices();
        Optional<CellLayout> layout = layout();
        Optional<GravityMarks> marks = marks();
        if (errors.hasErrors() || layout.isEmpty() || marks.isEmpty()) {
            return Optional.empty();
        }
        BatteryModel model = new BatteryModel(
                form.code(),
                given(form.kind()),
                given(form.duty()),
                layout.get(),
                AmpHours.of(given(form.capacity())),
                given(form.rate()),
                marks.get());
        return Optional.of(new StoredModel(
                id,
                model,
                form.maker(),
                given(form.mark()),
                form.markWords(),
                given(form.weight()),
                "left".equals(form.cables()),
                Objects.requireNonNullElse(form.scheme(), DateScheme.LETTER_DIGIT),
                form.torque() == null ? 0 : (int) Math.round(form.torque() * 10),
                Objects.requireNonNullElse(form.connector(), ""),
                form.opportunity() != null && !form.opportunity().isEmpty(),
                prices()));
    }

    private void checkCases() {
        Integer cells = form.cellsPerCase();
        if (cells != null && (cells == 2 || cells == 5)) {
            Faults.tell(errors, "cellsPerCase", "fault.cases", cells);
        }
    }

    private void checkPrices() {
        if (form.hasNoPrices()) {
            return;
        }
        needed("priceNew", form.priceNew());
        needed("priceCell", form.priceCell());
        needed("coreCredit", form.coreCredit());
        needed("lifeCycles", form.lifeCycles());
        if (form.coreCredit() != null && form.priceNew() != null && form.coreCredit() > form.priceNew()) {
            Faults.tell(errors, "coreCredit", "fault.range", form.coreCredit(), 0.0, form.priceNew());
        }
    }

    private void needed(String field, @Nullable Number price) {
        if (price == null && !errors.hasFieldErrors(field)) {
            Faults.tell(errors, field, "fault.prices");
        }
    }

    private @Nullable Prices prices() {
        return form.hasNoPrices()
                ? null
                : new Prices(
                        given(form.priceNew()),
                        given(form.priceCell()),
                        given(form.coreCredit()),
                        given(form.lifeCycles()));
    }

    private Optional<CellLayout> layout() {
        if (errors.hasFieldErrors("layout") || errors.hasFieldErrors("cellsPerCase")) {
            return Optional.empty();
        }
        try {
            return Optional.of(LayoutText.parse(form.layout(), given(form.cellsPerCase())));
        } catch (LayoutFault e) {
            Faults.tell(errors, "layout", "fault.layout." + e.kind(), e.piece());
            return Optional.empty();
        }
    }

    private Optional<GravityMarks> marks() {
        if (errors.hasErrors()) {
            return Optional.empty();
        }
        try {
            return Optional.of(GravityMarks.ofPoints(
                    given(form.empty()), given(form.recharge()), given(form.fullFrom()), given(form.fullTo())));
        } catch (IllegalArgumentException e) {
            Faults.tell(errors, "fullTo", "fault.marks");
            return Optional.empty();
        }
    }
}
