package org.ostendum.app.kit;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.battery.LedgerLine;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The watering kit of one battery: drawn, with what is known of it and what can be done with it. */
@Controller
class WateringKitController {
    private static final Set<EntryKind> OF_KITS =
            Set.of(EntryKind.KIT_FITTED, EntryKind.KIT_LOOKED_AT, EntryKind.KIT_TAKEN_OFF);

    /** Lines of a ledger: some years of them. */
    private static final int LOOKED_BACK = 5_000;

    private final BatteryStates states;
    private final KitKinds kinds;
    private final Ledger ledger;

    WateringKitController(BatteryStates states, KitKinds kinds, Ledger ledger) {
        this.states = states;
        this.kinds = kinds;
        this.ledger = ledger;
    }

    @GetMapping("/batteries/{battery}/kit")
    String kit(Battery battery, Words words, Model page) {
        BatteryState state = states.stateOf(battery);
        page.addAttribute("place", "fleet");
        @Nullable
        NextThing look = NextThings.of(battery.code(), state).stream()
                .filter(thing -> thing.step() == NextStep.LOOK_AT_KIT)
                .findFirst()
                .orElse(null);
        page.addAttribute(
                "view",
                new WateringKitView(
                        battery,
                        state.kit(),
                        state.stuckInjectors(),
                        kinds.usualOf(battery).orElse(""),
                        look,
                        KitSheet.of(battery, state),
                        lines(battery, words)));
        return "kit/kit";
    }

    private List<LedgerLine> lines(Battery battery, Words words) {
        return ledger.ofBattery(battery.id(), null, LOOKED_BACK).stream()
                .filter(entry -> OF_KITS.contains(entry.kind()))
                .map(entry -> LedgerLine.of(entry, words))
                .toList();
    }
}
