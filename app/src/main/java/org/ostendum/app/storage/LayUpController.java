package org.ostendum.app.storage;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.begin.LayUps;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Lays up a whole row at once. */
@Controller
class LayUpController {
    private final StorageBoard board;
    private final Stays stays;
    private final Batteries batteries;
    private final LayUps layUps;

    LayUpController(StorageBoard board, Stays stays, Batteries batteries, LayUps layUps) {
        this.board = board;
        this.stays = stays;
        this.batteries = batteries;
        this.layUps = layUps;
    }

    /** One job for each battery: a whole row at once. What cannot be begun is told by name and keeps no other from it. */
    @PostMapping("/storage/lay-up")
    Object layUp(
            @RequestParam(defaultValue = "") List<String> battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Supply supply = form.choice("supply", Supply.class).orElse(null);
        List<String> codes = codes(battery, form.get("codes"));
        if (codes.isEmpty()) {
            form.fault("codes", "storage.none-picked");
        }
        for (String code : codes) {
            if (batteries.byCode(code).isEmpty()) {
                form.fault("codes", "storage.unknown", code);
            }
        }
        if (supply == null || !form.isSound()) {
            return board.refused(form, "", words, page);
        }
        @Nullable Long place = stays.placeOf(form.get("where")).orElse(null);
        List<String> refused = new ArrayList<>();
        int begun = 0;
        for (String code : codes) {
            Battery one = batteries.byCode(code).orElseThrow();
            Optional<String> why = layUps.begin(one, person, words);
            if (why.isPresent()) {
                refused.add(code + ": " + why.get());
            } else {
                stays.say(one.id(), place, supply);
                begun++;
            }
        }
        if (!refused.isEmpty()) {
            flash.addFlashAttribute("fault", String.join(" ", refused));
        }
        if (begun > 0) {
            flash.addFlashAttribute("told", words.text("storage.begun", begun));
        }
        return "redirect:/storage";
    }

    private static List<String> codes(List<String> picked, String typed) {
        LinkedHashSet<String> codes = new LinkedHashSet<>(picked);
        codes.remove("");
        for (String code : typed.split("[\\s,;]+", -1)) {
            if (!code.isEmpty()) {
                codes.add(code);
            }
        }
        return List.copyOf(codes);
    }
}
