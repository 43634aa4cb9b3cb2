package org.ostendum.app.job.begin;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Situation;
import org.springframework.stereotype.Component;

/** A battery's charge on its usual charger, as it could be begun now. */
@Component
class ChargeOffer {
    static final String PROCEDURE = "charge";

    private final SiteProcedures procedures;
    private final Situations situations;
    private final ChargerChoice chargers;

    ChargeOffer(SiteProcedures procedures, Situations situations, ChargerChoice chargers) {
        this.procedures = procedures;
        this.situations = situations;
        this.chargers = chargers;
    }

    /**
     * @param choice null where the site has no charger at all
     */
    record Offer(Procedure procedure, @Nullable Choice choice, Situation situation) {
        Map<GateKey, GateOutcome> gates() {
            return Gates.ask(procedure, situation);
        }
    }

    Procedure procedure() {
        return procedures.find(PROCEDURE).orElseThrow();
    }

    Offer of(Battery battery, Person person) {
        Procedure procedure = procedure();
        @Nullable Choice choice = chargers.of(procedure, battery, "", "");
        Situation of = situations.of(procedure.training(), battery, null, person);
        return new Offer(procedure, choice, choice == null ? of : of.on(choice.misfits()));
    }
}
