package org.ostendum.app.change;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.SpecialJob.Beside;
import org.ostendum.app.past.PastOfPlaces;
import org.springframework.stereotype.Component;

/** The battery that a change has taken out, and the way to its charge. */
@Component
class CameOut {
    private static final String CHARGE = "charge";

    private final PastOfPlaces past;
    private final Jobs jobs;

    CameOut(PastOfPlaces past, Jobs jobs) {
        this.past = past;
        this.jobs = jobs;
    }

    /** @param charge the open job of its charge; null where it is still to be begun */
    record Old(Battery battery, @Nullable Long charge) {}

    /** @return what is told of it; empty where the machine had none */
    Optional<Beside> beside(Job job) {
        return of(job).map(old -> new Beside(
                "change/lift :: old", new Old(old, jobs.openOf(CHARGE, old.id()).orElse(null))));
    }

    /** @return the battery that came out; empty where the machine had none */
    Optional<Battery> of(Job job) {
        String machine = job.machine();
        return machine == null
                ? Optional.empty()
                : past.ofMachine(machine).stream()
                        .filter(held -> held.to() != null && !held.to().isBefore(job.begunAt()))
                        .map(PastOfPlaces.Held::battery)
                        .findFirst();
    }
}
