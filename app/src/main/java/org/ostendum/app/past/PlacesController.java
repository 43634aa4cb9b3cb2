package org.ostendum.app.past;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.words.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Asks which battery was where on a day. */
@Controller
class PlacesController {
    private final PastOfPlaces past;

    PlacesController(PastOfPlaces past) {
        this.past = past;
    }

    @GetMapping("/places")
    String places(
            @RequestParam(defaultValue = "") String when,
            @RequestParam(defaultValue = "") String find,
            Words words,
            Model page) {
        TypedInput.Read<Instant> read = TypedInput.pastDay(when, words);
        @Nullable String fault = read.fault();
        Instant at = read.value() == null ? words.now() : read.value();
        String sought = find.strip().toLowerCase(Locale.ROOT);
        List<PastOfPlaces.Then> then = fault == null
                ? past.at(at).stream().filter(t -> isSought(t, sought)).toList()
                : List.of();
        page.addAttribute("place", "room");
        page.addAttribute("when", when);
        page.addAttribute("find", find);
        page.addAttribute("fault", fault);
        page.addAttribute("at", at);
        page.addAttribute("then", then);
        return "past/places";
    }

    private static boolean isSought(PastOfPlaces.Then then, String sought) {
        return sought.isEmpty()
                || then.place().toLowerCase(Locale.ROOT).contains(sought)
                || then.battery().code().toLowerCase(Locale.ROOT).contains(sought);
    }
}
