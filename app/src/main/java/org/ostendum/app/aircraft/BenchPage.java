package org.ostendum.app.aircraft;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.aircraft.Serviceable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the bench shows of an aircraft's battery; with what was typed where that is refused. */
@Component
class BenchPage {
    private final BatteryStates states;
    private final Signing signing;
    private final FlightHours hours;

    BenchPage(BatteryStates states, Signing signing, FlightHours hours) {
        this.states = states;
        this.signing = signing;
        this.hours = hours;
    }

    static String addressOf(Battery battery) {
        return "/batteries/" + battery.code() + "/aircraft";
    }

    /** @throws NotFound for a battery of no aircraft */
    String show(Battery battery, TypedForm form, String csv, Words words, Model page) {
        if (battery.type().model().duty() != Duty.AIRCRAFT) {
            throw new NotFound("aircraft bench of " + battery.code());
        }
        BatteryState state = states.stateOf(battery);
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new BenchView(
                        battery,
                        Serviceable.of(state),
                        signing.unsigned(battery),
                        signing.of(battery),
                        flown(battery, state, words)));
        page.addAttribute("csv", csv);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "aircraft/bench";
    }

    Object refused(Battery battery, TypedForm form, String csv, Words words, Model page) {
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, csv, words, page), page);
    }

    /** Hours since it was last charged; null where it is in no aircraft. */
    private @Nullable Double flown(Battery battery, BatteryState state, Words words) {
        Long machine = battery.machineId();
        Instant charged = state.charging().chargeEnded();
        LocalDate since = charged == null ? battery.inServiceOn() : LocalDate.ofInstant(charged, words.zone());
        return machine == null ? null : (Double) hours.since(machine, since);
    }
}
