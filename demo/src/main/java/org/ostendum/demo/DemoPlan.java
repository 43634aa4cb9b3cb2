package org.ostendum.demo;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.plan.Planning;
import org.ostendum.app.plan.hours.Hours;
import org.ostendum.app.rules.RuleChanges;
import org.ostendum.core.rulebook.RuleKey;

/** When Lanternmoor's machines are needed and its people are there, and the plan of today, taken by its lead. */
class DemoPlan {
    private static final LocalTime SIX = LocalTime.of(6, 0);
    private static final LocalTime SEVEN = LocalTime.of(7, 0);
    private static final LocalTime EIGHT = LocalTime.of(8, 0);
    private static final LocalTime TWO = LocalTime.of(14, 0);
    /** Two shifts of one truck leave half an hour to change its battery. */
    private static final LocalTime HALF_PAST_TWO = LocalTime.of(14, 30);

    private static final LocalTime TEN = LocalTime.of(22, 0);

    private static final int FEEDER_KILOWATTS = 90;
    private static final Set<DayOfWeek> STRIKING = EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY);

    private final Hours hours;
    private final Machines machines;
    private final Planning planning;
    private final RuleChanges rules;

    DemoPlan(Hours hours, Machines machines, Planning planning, RuleChanges rules) {
        this.hours = hours;
        this.machines = machines;
        this.planning = planning;
        this.rules = rules;
    }

    void limitPower(Map<String, Long> persons) {
        rules.set(
                RuleKey.SITE_POWER,
                null,
                BigDecimal.valueOf(FEEDER_KILOWATTS),
                "Feeder of the battery room",
                DemoSite.known(persons, "maud"));
    }

    /** A studio shoots on every day of the week. */
    void fill(Map<String, Long> persons) {
        for (DayOfWeek day : DayOfWeek.values()) {
            machines.all().forEach(machine -> need(machine, day));
            hours.personThere(DemoSite.known(persons, "tom"), day, LocalTime.of(4, 0), LocalTime.of(13, 0));
            hours.personThere(DemoSite.known(persons, "ines"), day, LocalTime.of(13, 0), TEN);
            hours.personThere(DemoSite.known(persons, "maud"), day, LocalTime.of(7, 0), LocalTime.of(16, 0));
        }
    }

    private void need(Machine machine, DayOfWeek day) {
        switch (machine.kind()) {
            case FORKLIFT -> needTruck(machine, day);
            case GOLF_CAR -> hours.needMachine(machine.id(), day, LocalTime.of(8, 0), LocalTime.of(17, 0), null);
            case PLATFORM -> hours.needMachine(machine.id(), day, LocalTime.of(7, 0), LocalTime.of(15, 0), null);
            case AIRCRAFT -> {
                // The hangar plans its own flights.
            }
        }
    }

    /** Two trucks work on into the evening; the prop store's last two are for the days on which sets are struck. */
    private void needTruck(Machine machine, DayOfWeek day) {
        int number = number(machine);
        if (number > 12 && !STRIKING.contains(day)) {
            return;
        }
        hours.needMachine(machine.id(), day, number <= 2 ? SIX : number <= 9 ? SEVEN : EIGHT, TWO, null);
        if (number <= 2) {
            hours.needMachine(machine.id(), day, HALF_PAST_TWO, TEN, null);
        }
    }

    private static int number(Machine machine) {
        return Integer.parseInt(machine.code().substring(1));
    }

    void plan(Map<String, Long> persons) {
        planning.takeAtOnce(DemoSite.known(persons, "maud"));
    }
}
