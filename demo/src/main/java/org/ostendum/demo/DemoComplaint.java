package org.ostendum.demo;

import java.time.Duration;
import org.ostendum.app.complaint.Complaints;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.people.People;
import org.ostendum.core.complaint.Complaint;

/** A driver's complaint that waits to be worked up. */
class DemoComplaint {
    private static final Duration AGO = Duration.ofHours(3);

    private final Complaints complaints;
    private final Batteries batteries;
    private final People people;
    private final DemoClock clock;

    DemoComplaint(Complaints complaints, Batteries batteries, People people, DemoClock clock) {
        this.complaints = complaints;
        this.batteries = batteries;
        this.people = people;
        this.clock = clock;
    }

    void fill() {
        complaints.add(
                batteries.byCode("T-15").orElseThrow().id(),
                Complaint.DOES_NOT_LAST,
                "Stands by three, used to go till five.",
                people.byLogin("ines").orElseThrow().id(),
                clock.instant().minus(AGO));
    }
}
