package org.ostendum.app.job.begin;

import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargePolicy;
import org.ostendum.app.charge.ChargerEvents;
import org.ostendum.app.charging.ChargerMatches;
import org.ostendum.app.charging.ChargerMatches.Match;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.words.Words;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.springframework.stereotype.Component;

/** Which charger a battery goes on, and what for: asked before jobs that charge, judged as soon as it is chosen. */
@Component
class ChargerChoice {
    private final ChargerMatches matches;
    private final ChargePolicy policy;
    private final Chargers chargers;
    private final ChargerEvents chargerEvents;
    private final Clock clock;

    ChargerChoice(
            ChargerMatches matches, ChargePolicy policy, Chargers chargers, ChargerEvents chargerEvents, Clock clock) {
        this.matches = matches;
        this.policy = policy;
        this.chargers = chargers;
        this.chargerEvents = chargerEvents;
        this.clock = clock;
    }

    /**
     * What can be chosen and what is.
     *
     * @param kinds of charge that the procedure can be
     * @param chosen null for a charger that is on no plan
     */
    record Choice(List<Match> all, List<ChargeKind> kinds, ChargeKind kind, ChargerMatches.@Nullable Match chosen) {
        public List<Mismatch> misfits() {
            return chosen == null ? List.of() : chosen.misfits();
        }

        public @Nullable Long chargerId() {
            return chosen == null ? null : (Long) chosen.charger().id();
        }

        public boolean isChosen(Match match) {
            return chosen != null && chosen.charger().id() == match.charger().id();
        }
    }

    /**
     * @param charger its code; empty for the one over the battery's slot, "none" for one on no plan
     * @param kind empty for the usual
     * @return null for a job that charges nothing
     */
    @Nullable
    Choice of(Procedure procedure, @Nullable Battery battery, String charger, String kind) {
        if (battery == null || !procedure.gates().contains(GateKey.CHARGER_FITS)) {
            return null;
        }
        List<ChargeKind> kinds = kinds(procedure);
        ChargeKind wanted = Arrays.stream(ChargeKind.values())
                .filter(k -> k.name().equals(kind) && kinds.contains(k))
                .findFirst()
                .orElseGet(() -> usual(kinds, battery));
        List<Match> all = matches.all(battery, wanted);
        @Nullable Long over = chargers.usualOf(battery).orElse(null);
        @Nullable
        Match chosen = all.stream()
                .filter(m -> charger.isEmpty()
                        ? over != null && m.charger().id() == over
                        : m.charger().code().equals(charger))
                .findFirst()
                .orElse(null);
        return new Choice(all, kinds, wanted, chosen);
    }

    private static List<ChargeKind> kinds(Procedure procedure) {
        return switch (procedure.id()) {
            case "equalise", "condition-aircraft" -> List.of(ChargeKind.EQUALISE);
            case "equalise-sulfated" -> List.of(ChargeKind.SULFATED);
            default ->
                Arrays.stream(ChargeKind.values()).filter(k -> !k.needsCaps()).toList();
        };
    }

    private ChargeKind usual(List<ChargeKind> kinds, Battery battery) {
        ChargeKind usual = policy.usual(battery);
        return kinds.contains(usual) ? usual : kinds.get(0);
    }

    /** A refused match stays with the charger: who tried to join what. */
    void remember(Choice choice, Battery battery, Person person, Words words) {
        Match chosen = choice.chosen();
        if (chosen != null && chosen.isRefused()) {
            chargerEvents.add(
                    chosen.charger().id(),
                    clock.instant(),
                    ChargerEvents.What.REFUSED,
                    battery.id(),
                    person.id(),
                    chosen.misfits().stream().map(m -> words.say(m.sentence())).collect(Collectors.joining(" ")));
        }
    }
}
