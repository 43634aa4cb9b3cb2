package org.ostendum.app.setup;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The way to everything that is set up; on a new site, the way to its first round. */
@Controller
class SetupController {
    private final SetupSteps steps;

    SetupController(SetupSteps steps) {
        this.steps = steps;
    }

    @GetMapping("/setup")
    String setup(Model page) {
        List<SetupSteps.Step> needed = steps.needed();
        SetupSteps.@Nullable Step next =
                needed.stream().filter(s -> !s.done()).findFirst().orElse(null);
        page.addAttribute("place", "setup");
        page.addAttribute("needed", needed);
        page.addAttribute("done", needed.stream().filter(SetupSteps.Step::done).count());
        page.addAttribute("others", steps.others());
        page.addAttribute("next", next);
        return "setup/setup";
    }
}
