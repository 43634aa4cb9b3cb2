package org.ostendum.app.setup.model;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.form.Constraints;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.CommonLayout;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.receive.DateScheme;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Battery models: the maker's sheet, as far as Ostendum uses it. */
@Controller
class ModelSetup {
    private static final Constraints CONSTRAINTS = new Constraints(Map.of("model_code_once", "code"));

    private final Models models;

    ModelSetup(Models models) {
        this.models = models;
    }

    @GetMapping("/setup/models")
    String list(@RequestParam(defaultValue = "TRAY_24_VOLTS") CommonLayout usual, Model page) {
        return show(null, usual, FormView.of(ModelForm.usual(usual)), page);
    }

    /** A layout to pick. */
    record Picture(CommonLayout common, BatteryDrawing drawing) {
        static Picture of(CommonLayout common) {
            return new Picture(common, BatteryPlotter.plot(common.layout(), false, 420, 200));
        }
    }

    @GetMapping("/setup/models/{stored}")
    String one(StoredModel stored, Model page) {
        return show(stored, null, FormView.of(formOf(stored)), page);
    }

    private ModelForm formOf(StoredModel stored) {
        return ModelForm.of(stored, models.version(stored.id()));
    }

    private String show(@Nullable StoredModel stored, @Nullable CommonLayout picked, FormView form, Model page) {
        @Nullable
        BatteryDrawing drawing =
                stored == null ? null : BatteryPlotter.plot(stored.model().layout(), stored.cablesLeft(), 840, 300);
        page.addAttribute("place", "setup");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "view",
                new ModelsView(
                        stored,
                        drawing,
                        picked,
                        Arrays.stream(CommonLayout.values()).map(Picture::of).toList(),
                        models.all(),
                        List.of(CellKind.values()),
                        List.of(Duty.values()),
                        List.of(DateScheme.values())));
        return "setup/models";
    }

    @PostMapping("/setup/models")
    Object add(
            @Validated @ModelAttribute("form") ModelForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Optional<StoredModel> read = ModelReading.read(0, form, errors);
        read.ifPresent(model -> CONSTRAINTS.keep(errors, () -> models.add(model)));
        return done(null, form, errors, words, page, flash);
    }

    @PostMapping("/setup/models/{stored}")
    Object change(
            StoredModel stored,
            @Validated @ModelAttribute("form") ModelForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        ModelReading.read(stored.id(), form, errors)
                .ifPresent(model -> CONSTRAINTS.keep(errors, () -> {
                    if (!models.change(model, form.version())) {
                        FormView.clash(errors, formOf(models.byId(stored.id()).orElseThrow()));
                    }
                }));
        return done(stored, form, errors, words, page, flash);
    }

    private Object done(
            @Nullable StoredModel was,
            @Nullable ModelForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (form == null || errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(was, null, FormView.of(errors, words), page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.code()));
        return "redirect:/setup/models";
    }
}
