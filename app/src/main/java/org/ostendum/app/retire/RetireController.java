package org.ostendum.app.retire;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.retire.Retiring.Leaving;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Letting a battery go, and the list of those that are gone. */
@Controller
class RetireController {
    private static final int LEAST_REASON = 3;
    private static final int MOST_REASON = 300;
    private static final int MOST_NAME = 120;
    private static final double MOST_CREDIT = 1_000_000;

    private final Retiring retiring;
    private final Batteries batteries;
    private final BatteryStates states;

    RetireController(Retiring retiring, Batteries batteries, BatteryStates states) {
        this.retiring = retiring;
        this.batteries = batteries;
        this.states = states;
    }

    @GetMapping("/retired")
    String retired(Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("batteries", batteries.retired());
        return "retire/retired";
    }

    @GetMapping("/batteries/{battery}/retire")
    String form(Battery battery, Words words, Model page) {
        return show(battery, TypedForm.of(words), page);
    }

    private String show(Battery battery, TypedForm form, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("state", states.stateOf(battery));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "retire/retire";
    }

    @PostMapping("/batteries/{battery}/retire")
    Object retire(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        BatteryState state = states.stateOf(battery);
        if (state.stage() == Stage.RETIRED) {
            form.fault("reason", "retire.gone");
        } else if (state.isCharging() || state.inHand() != null) {
            form.fault("reason", "retire.busy", state.inHand() == null ? "" : state.inHand());
        }
        if (form.get("reason").length() < LEAST_REASON || form.get("reason").length() > MOST_REASON) {
            form.fault("reason", "retire.reason-wanted");
        }
        for (String field : List.of("recycler", "receipt")) {
            if (form.get(field).length() > MOST_NAME) {
                form.fault(field, "fault.length", form.get(field).substring(0, 20) + "…", MOST_NAME);
            }
        }
        if (form.get("recycler").isEmpty()) {
            form.fault("recycler", "retire.recycler-wanted");
        }
        @Nullable Double credit = form.get("credit").isEmpty() ? null : (Double) form.number("credit", 0, MOST_CREDIT);
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, page), page);
        }
        retiring.retire(
                battery, new Leaving(form.get("reason"), form.get("recycler"), form.get("receipt"), credit), person);
        flash.addFlashAttribute("told", words.text("retire.done", battery.code()));
        return "redirect:/batteries/" + battery.code() + "/life";
    }
}
