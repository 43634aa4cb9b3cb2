package org.ostendum.app.round;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Taking a round: the drawing is the form. */
@Controller
class RoundController {
    private final Batteries batteries;
    private final OpenRounds rounds;
    private final RoundTaking taking;
    private final RoundViews views;
    private final BatteryStates batteryStates;
    private final RoundGates gates;

    RoundController(
            Batteries batteries,
            OpenRounds rounds,
            RoundTaking taking,
            RoundViews views,
            BatteryStates batteryStates,
            RoundGates gates) {
        this.batteries = batteries;
        this.rounds = rounds;
        this.taking = taking;
        this.views = views;
        this.batteryStates = batteryStates;
        this.gates = gates;
    }

    @GetMapping("/batteries/{battery}/round")
    String round(Battery battery, Person person, Words words, Model page) {
        Optional<OpenRound> open = rounds.of(battery.id());
        page.addAttribute("place", "fleet");
        page.addAttribute("states", RoundState.values());
        if (open.isPresent()) {
            page.addAttribute("board", views.board(battery, open.get(), person, words));
            page.addAttribute("colours", Colour.values());
            return "round/round";
        }
        BatteryState state = batteryStates.stateOf(battery);
        page.addAttribute("battery", battery);
        page.addAttribute("shut", gates.shut(battery, state, person, words));
        page.addAttribute("state", state.roundState());
        page.addAttribute("watered", state.mixed().isNo() ? state.water().watered() : null);
        return "round/begin";
    }

    @PostMapping("/batteries/{battery}/round")
    String begin(
            Battery battery,
            @RequestParam RoundState state,
            @RequestParam @Nullable Integer pilot,
            Person person,
            Words words,
            RedirectAttributes flash) {
        int cells = battery.type().model().cells();
        Integer pilotCell = pilot == null ? null : (Integer) Math.max(1, Math.min(cells, pilot));
        List<GateLine> shut = gates.shut(battery, person, words);
        if (!shut.isEmpty()) {
            flash.addFlashAttribute("fault", shut.get(0).why());
        } else {
            rounds.begin(battery.id(), person.id(), state, pilotCell);
        }
        return "redirect:/batteries/" + battery.code() + "/round";
    }

    /** @return the board when it has changed since the version the browser has, else nothing */
    @GetMapping("/rounds/{id}/board")
    Object board(@PathVariable long id, @RequestParam(defaultValue = "-1") long version, Person person, Words words) {
        Optional<OpenRound> open = rounds.byId(id);
        if (open.isEmpty()) {
            return gone(words);
        }
        return open.get().version() == version
                ? ResponseEntity.noContent().build()
                : fragment(byId(open.get().batteryId()), open.get(), person, words);
    }

    /** @return the board with the value on it, or in words why it was not taken */
    @PostMapping("/rounds/{id}/values")
    Object keep(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String key,
            @RequestParam int cell,
            @RequestParam SheetField field,
            @RequestParam @Nullable String value,
            @RequestParam(defaultValue = "0") long base,
            Person person,
            Words words) {
        Optional<Battery> battery = rounds.batteryOf(id).flatMap(batteries::byId);
        if (battery.isEmpty()) {
            return gone(words);
        }
        ValueOutcome outcome = taking.keep(
                id, cells(battery.get()), new RoundTaking.Sent(key, cell, field, value, base), person, words);
        if (outcome instanceof ValueOutcome.Refused refused) {
            return text(HttpStatus.UNPROCESSABLE_CONTENT, refused.why());
        } else if (outcome instanceof ValueOutcome.Conflict conflict) {
            return ResponseEntity.status(HttpStatus.CONFLICT)
                    .header("X-Base", String.valueOf(conflict.theirs().id()))
                    .contentType(MediaType.TEXT_PLAIN)
                    .body(conflict(conflict.theirs(), words));
        }
        return rounds.byId(id)
                .<Object>map(open -> fragment(battery.get(), open, person, words))
                .orElseGet(() -> gone(words));
    }

    /** The same from a page whose script does not run: it comes back whole. */
    @PostMapping(path = "/rounds/{open}/values", params = "plain")
    String keepPlain(
            OpenRound open,
            @RequestParam int cell,
            @RequestParam SheetField field,
            @RequestParam @Nullable String value,
            Person person,
            Words words,
            RedirectAttributes flash) {
        Battery battery = byId(open.batteryId());
        String key = UUID.randomUUID().toString();
        ValueOutcome outcome =
                taking.keep(open.id(), cells(battery), new RoundTaking.Sent(key, cell, field, value, 0), person, words);
        if (outcome instanceof ValueOutcome.Refused refused) {
            flash.addFlashAttribute("fault", refused.why());
        } else if (outcome instanceof ValueOutcome.Conflict conflict) {
            flash.addFlashAttribute("fault", conflict(conflict.theirs(), words));
        }
        return "redirect:/batteries/" + battery.code() + "/round";
    }

    private static int cells(Battery battery) {
        return battery.type().model().cells();
    }

    private static String conflict(KeptValue theirs, Words words) {
        String value = SheetValues.told(theirs.value(), words);
        return words.text("round.conflict", theirs.cell(), theirs.person(), value, words.clock(theirs.at()));
    }

    @PostMapping("/rounds/{open}/state")
    String state(OpenRound open, @RequestParam RoundState state) {
        rounds.changeState(open.id(), state);
        return "redirect:/batteries/" + byId(open.batteryId()).code() + "/round";
    }

    @PostMapping("/rounds/{open}/close")
    String close(OpenRound open, Person person, Words words, RedirectAttributes flash) {
        Battery battery = byId(open.batteryId());
        if (taking.close(battery, open.id(), person)) {
            flash.addFlashAttribute("told", words.text("round.closed"));
            return "redirect:/batteries/" + battery.code();
        }
        flash.addFlashAttribute("fault", words.text("round.nothing"));
        return "redirect:/batteries/" + battery.code() + "/round";
    }

    @PostMapping("/rounds/{open}/discard")
    String discard(
            OpenRound open,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            RedirectAttributes flash) {
        Battery battery = byId(open.batteryId());
        if (!open.values().isEmpty() && (reason.strip().length() < 3 || reason.length() > 400)) {
            flash.addFlashAttribute("fault", words.text("round.discard.reason"));
            return "redirect:/batteries/" + battery.code() + "/round";
        }
        taking.discard(battery, open.id(), reason.strip(), person);
        flash.addFlashAttribute("told", words.text("round.discarded"));
        return "redirect:/batteries/" + battery.code();
    }

    private ModelAndView fragment(Battery battery, OpenRound open, Person person, Words words) {
        ModelAndView fragment = new ModelAndView("round/board :: parts");
        fragment.addObject("board", views.board(battery, open, person, words));
        fragment.addObject("states", RoundState.values());
        return fragment;
    }

    private static ResponseEntity<String> gone(Words words) {
        return text(HttpStatus.GONE, words.text("round.gone"));
    }

    private static ResponseEntity<String> text(HttpStatus status, String text) {
        return ResponseEntity.status(status).contentType(MediaType.TEXT_PLAIN).body(text);
    }

    private Battery byId(long id) {
        return batteries.byId(id).orElseThrow(() -> new NotFound("battery " + id));
    }
}
