package org.ostendum.app.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.wiring.WakeView.Drawn;
import org.ostendum.app.words.Words;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.recover.GoodBeside;
import org.ostendum.core.recover.WakeGroups;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.Wiring;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * A flat battery woken: beside a good one, or a pack by a smaller charger, one group after the other; where the clamps go, and whether its
 * own charger begins then.
 */
@Controller
class WakeController {
    private static final int LEAST_VOLTS = 2;
    private static final int MOST_VOLTS = 120;
    /** Part of full above which no charger's sensing is in question (rule of thumb). */
    private static final double FLAT = 0.3;

    private final Packs packs;
    private final BatteryStates states;
    private final GoodBatteries good;

    WakeController(Packs packs, BatteryStates states, GoodBatteries good) {
        this.packs = packs;
        this.states = states;
        this.good = good;
    }

    /** @param typed the small charger's volts, those of the lock-out, and what was read across each group; all may be missing */
    @GetMapping("/batteries/{battery}/wake")
    String wake(Battery battery, @RequestParam Map<String, String> typed, Words words, Model page) {
        TypedForm form = new TypedForm(typed, words);
        BatteryState state = states.stateOf(battery);
        WakeView view = new WakeView(
                battery,
                forbidden(state),
                speaksAgainst(state, words),
                state.stage() == Stage.RETIRED ? List.of() : good.beside(battery, state),
                GoodBeside.needsLimit(state),
                packs.of(battery).map(pack -> groups(battery, pack, form)).orElse(null),
                form.get("lockout").isEmpty() ? null : (Double) form.number("lockout", 1, MOST_VOLTS));
        page.addAttribute("place", "fleet");
        page.addAttribute("view", view);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "wiring/wake";
    }

    private static WakeView.Groups groups(Battery battery, Pack pack, TypedForm form) {
        int charger = form.get("charger").isEmpty() ? usual(battery) : form.whole("charger", LEAST_VOLTS, MOST_VOLTS);
        boolean known = form.isSound();
        WakeGroups groups = WakeGroups.of(pack.layout(), charger);
        List<Drawn> drawn = groups.groups().stream()
                .filter(group -> known)
                .map(group -> drawn(pack, groups, group, battery.type().cablesLeft()))
                .toList();
        return new WakeView.Groups(groups, known, drawn, sum(groups, form));
    }

    /** A small charger that most rooms have. */
    private static int usual(Battery battery) {
        return Math.min(12, battery.type().model().nominalVolts());
    }

    private static Drawn drawn(Pack pack, WakeGroups groups, WakeGroups.Group group, boolean cablesLeft) {
        Tap clamps = new Tap("clamps", group.first(), group.last());
        Pack clamped = Pack.of(pack.layout(), List.of(clamps));
        return new Drawn(
                group,
                groups.volts(group),
                WiringDrawing.of(Wiring.whole(clamped), cablesLeft, "T1+"),
                "group" + group.first());
    }

    private static @Nullable Double sum(WakeGroups groups, TypedForm form) {
        List<Double> read = new ArrayList<>();
        for (WakeGroups.Group group : groups.groups()) {
            String field = "group" + group.first();
            if (!form.get(field).isEmpty()) {
                read.add(form.number(field, 0, MOST_VOLTS));
            }
        }
        boolean all = !read.isEmpty() && read.size() == groups.groups().size() && form.isSound();
        return all ? (Double) groups.packVolts(read) : null;
    }

    /** @return why there is nothing to wake, by its state; null where nothing says so */
    private static @Nullable String speaksAgainst(BatteryState state, Words words) {
        if (state.stage() == Stage.RETIRED) {
            return words.text("wake.retired");
        }
        if (state.isCharging()) {
            return words.text("wake.charging");
        }
        boolean holdsSome = state.charge().isKnown() && state.charge().low() > FLAT;
        return holdsSome ? words.text("wake.not-flat", state.charge().percent().percent()) : null;
    }

    /** @return whether it may not be woken at all: nothing frozen, bulging or leaking is charged */
    private static boolean forbidden(BatteryState state) {
        return state.defects().stream().anyMatch(defect -> defect.kind() == DefectKind.DAMAGED_CASE)
                || state.findings().stream()
                        .anyMatch(standing -> standing.finding().code() == FindingCode.BATTERY_FREEZING);
    }
}
