package org.ostendum.demo;

import java.util.List;
import org.ostendum.app.aircraft.Signing;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Person;

/** Work on the aircraft's batteries is signed for, but for one. */
class DemoAircraft {
    private static final List<String> SIGNED = List.of("A-1", "A-3", "A-4");

    private final Signing signing;
    private final Batteries batteries;
    private final People people;

    DemoAircraft(Signing signing, Batteries batteries, People people) {
        this.signing = signing;
        this.batteries = batteries;
        this.people = people;
    }

    void fill() {
        Person priya = people.byLogin("priya").orElseThrow();
        for (String code : SIGNED) {
            signing.sign(batteries.byCode(code).orElseThrow(), "LM-4471", priya);
        }
    }
}
