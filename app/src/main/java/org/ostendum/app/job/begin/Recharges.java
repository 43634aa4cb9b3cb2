package org.ostendum.app.job.begin;

import java.util.List;
import java.util.Optional;
import org.ostendum.app.capacity.Recharge;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Procedure;
import org.springframework.stereotype.Service;

/** Begins the charge after a test, so that it stands in the list of jobs and on the tester's own page. The gates are those of any charge. */
@Service
class Recharges implements Recharge {
    private final ChargeOffer offers;
    private final Beginning beginning;
    private final Jobs jobs;
    private final People people;

    Recharges(ChargeOffer offers, Beginning beginning, Jobs jobs, People people) {
        this.offers = offers;
        this.beginning = beginning;
        this.jobs = jobs;
        this.people = people;
    }

    @Override
    public void open(Battery battery, long by) {
        Person person = people.byId(by).orElseThrow();
        ChargeOffer.Offer offer = offers.of(battery, person);
        boolean free = openOf(battery).isEmpty()
                && offer.gates().entrySet().stream()
                        .allMatch(gate -> letsThrough(offer.procedure(), gate.getKey(), gate.getValue()));
        if (free) {
            beginning.begin(
                    JobToBegin.plain(offer.procedure(), battery, offer.choice(), offer.situation(), List.of()),
                    person,
                    List.of());
        }
    }

    /** What nobody knows a step of the job may still ask; what only eyes can tell before, a person begins. */
    private static boolean letsThrough(Procedure procedure, GateKey gate, GateOutcome outcome) {
        boolean askedInside = procedure.steps().stream().anyMatch(step -> step.answers() == gate);
        return outcome instanceof GateOutcome.Open || (outcome instanceof GateOutcome.Unknown && askedInside);
    }

    @Override
    public Optional<Long> openOf(Battery battery) {
        return jobs.openOf(ChargeOffer.PROCEDURE, battery.id());
    }
}
