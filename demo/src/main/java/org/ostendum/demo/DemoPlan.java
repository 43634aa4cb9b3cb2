package org.ostendum.demo;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Map;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.plan.Hours;
import org.ostendum.app.plan.Planning;
import org.springframework.stereotype.Component;

/** When Lanternmoor's machines are needed and its people are there, and the plan of today, taken by its lead. */
@Component
class DemoPlan {
    private static final LocalTime SIX = LocalTime.of(6, 0);
    private static final LocalTime TWO = LocalTime.of(14, 0);
    /** Two shifts of one truck leave half an hour to change its battery. */
    private static final LocalTime HALF_PAST_TWO = LocalTime.of(14, 30);

    private static final LocalTime TEN = LocalTime.of(22, 0);
    private static final int TRUCKS_OF_TWO_SHIFTS = 5;

    private final Hours hours;
    private final Machines machines;
    private final Planning planning;

    DemoPlan(Hours hours, Machines machines, Planning planning) {
        this.hours = hours;
        this.machines = machines;
        this.planning = planning;
    }

    /** A studio shoots on every day of the week. */
    void fill(Map<String, Long> persons) {
        for (DayOfWeek day : DayOfWeek.values()) {
            machines.all().forEach(machine -> need(machine, day));
            hours.personThere(DemoSite.known(persons, "tom"), day, LocalTime.of(5, 0), TWO);
            hours.personThere(DemoSite.known(persons, "ines"), day, LocalTime.of(13, 0), TEN);
            hours.personThere(DemoSite.known(persons, "maud"), day, LocalTime.of(7, 0), LocalTime.of(16, 0));
        }
    }

    private void need(Machine machine, DayOfWeek day) {
        switch (machine.kind()) {
            case FORKLIFT -> {
                hours.needMachine(machine.id(), day, SIX, TWO, null);
                if (number(machine) <= TRUCKS_OF_TWO_SHIFTS) {
                    hours.needMachine(machine.id(), day, HALF_PAST_TWO, TEN, null);
                }
            }
            case GOLF_CAR -> hours.needMachine(machine.id(), day, LocalTime.of(8, 0), LocalTime.of(17, 0), null);
            case PLATFORM -> hours.needMachine(machine.id(), day, LocalTime.of(7, 0), LocalTime.of(15, 0), null);
            case AIRCRAFT -> {
                // The hangar plans its own flights.
            }
        }
    }

    private static int number(Machine machine) {
        return Integer.parseInt(machine.code().substring(1));
    }

    void plan(Map<String, Long> persons) {
        planning.takeAtOnce(DemoSite.known(persons, "maud"));
    }
}
