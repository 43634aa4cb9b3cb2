package org.ostendum.app.storage;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.app.words.Words;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The board of all that is put away, looking in on it, and where each stands. */
@Controller
class StorageController {
    private final StorageBoard board;
    private final Storing storing;
    private final Stays stays;
    private final BatteryStates states;

    StorageController(StorageBoard board, Storing storing, Stays stays, BatteryStates states) {
        this.board = board;
        this.storing = storing;
        this.stays = stays;
        this.states = states;
    }

    @GetMapping("/storage")
    String board(Words words, Model page) {
        return board.show(TypedForm.of(words), "", words, page);
    }

    @PostMapping("/batteries/{battery}/storage/look")
    Object look(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Stay stay = stays.openOf(battery.id()).orElseThrow(() -> new NotFound("stay of " + battery.code()));
        TypedForm form = new TypedForm(typed, words);
        @Nullable SpecificGravity sg = TypedInput.gravity(form.get("sg"), words).orTell("sg", form);
        @Nullable
        Celsius celsius = TypedInput.temperature(form.get("celsius"), words).orTell("celsius", form);
        if (sg != null && celsius == null) {
            form.fault("celsius", "storage.celsius-wanted");
        }
        if (!form.isSound()) {
            return board.refused(form, "", words, page);
        }
        TemperatureCorrection correction = states.rulesFor(battery).temperatureCorrection();
        @Nullable CorrectedGravity gravity = sg == null || celsius == null ? null : correction.correct(sg, celsius);
        String power = form.get("power");
        @Nullable Boolean on = power.isEmpty() ? null : (Boolean) power.equals("on");
        String told = words.text(
                "storage.look.told" + (on == null ? "" : on ? ".on" : ".off"),
                gravity == null ? "–" : words.gravity(gravity));
        storing.look(battery, stay, on, gravity, told, person);
        flash.addFlashAttribute(
                Boolean.FALSE.equals(on) ? "fault" : "told",
                words.text(Boolean.FALSE.equals(on) ? "storage.look.off" : "storage.look.kept", battery.code()));
        return "redirect:/storage#" + battery.code();
    }

    /** Where it stands and on what, said afterwards. */
    @PostMapping("/batteries/{battery}/storage/place")
    String move(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        form.choice("supply", Supply.class)
                .ifPresent(supply -> storing.move(battery, form.get("where"), supply, person, words));
        flash.addFlashAttribute("told", words.text("storage.moved", battery.code()));
        return "redirect:/storage#" + battery.code();
    }
}
