package org.ostendum.app.battery;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.ostendum.app.words.Words;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Full;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.Stage;

/** What is known of a battery now, in a few sentences, each with its evidence and its age. */
final class StateWords {
    private StateWords() {}

    static List<String> of(BatteryState state, Words words) {
        List<String> told = new ArrayList<>();
        if (!state.stage().isUsable() || state.heldFor() != null) {
            told.add(words.text("state.stage." + state.stage(), state.heldFor() == null ? "" : state.heldFor()));
        }
        Instant put = state.stageSince();
        if (state.stage() == Stage.STORED && put != null) {
            told.add(words.text("state.stored", put));
        }
        told.add(phase(state, words));
        if (!state.isCharging()) {
            told.add(full(state.full(), words));
        }
        ChargeRange charge = state.charge();
        if (charge.isKnown() && !state.full().isYes()) {
            told.add(words.text(
                    "state.charge",
                    charge.percent().percent(),
                    (int) Math.round(100 * charge.low()),
                    (int) Math.round(100 * charge.high()),
                    words.text("state.basis." + charge.basis())));
        }
        Heat heat = state.heat().temperature();
        if (heat != null) {
            told.add(words.text("state.temperature", heat.celsius(), heat.at()));
        }
        if (state.mixed().isNo() && state.water().watered() != null) {
            told.add(words.text("state.unmixed", state.water().watered()));
        }
        return told;
    }

    private static String phase(BatteryState state, Words words) {
        Instant since = state.phaseSince();
        String key = "battery.charge-state." + state.phase();
        if (state.phase() == BatteryState.Phase.COOLING) {
            return words.text(key, (int) Math.ceil(state.heat().coolingLeft().toMinutes() / 60.0));
        }
        return since == null ? words.text(key + ".since-unknown") : words.text(key, since);
    }

    private static String full(Full full, Words words) {
        String signs = full.signs().stream()
                .sorted()
                .map(sign -> words.text("ending." + sign.word()))
                .collect(Collectors.joining(", "));
        if (full.isYes() && full.since() != null) {
            return words.text("state.full.yes", full.since(), signs);
        } else if (full.isNo()) {
            return words.text("state.full.no");
        }
        return signs.isEmpty() ? words.text("state.full.unknown") : words.text("state.full.unknown.signs", signs);
    }
}
