package org.ostendum.core.plan.room;

import java.util.List;

/**
 * What is there to be planned, whatever the plan in force: machines with what they need, what serves them, and what all of it costs and
 * bears.
 *
 * @param charging which battery charges on which charger, and how long
 * @param rules minutes that things take
 */
public record PlanSite(
        List<PlanMachine> machines,
        List<PoolBattery> batteries,
        List<PlanCharger> chargers,
        List<Pairing> charging,
        List<Worker> people,
        RoomLimits room,
        List<Price> tariff,
        Times rules) {
    public PlanSite {
        machines = List.copyOf(machines);
        batteries = List.copyOf(batteries);
        chargers = List.copyOf(chargers);
        charging = List.copyOf(charging);
        people = List.copyOf(people);
        tariff = List.copyOf(tariff);
    }

    public PlanSite withMachines(List<PlanMachine> others) {
        return new PlanSite(others, batteries, chargers, charging, people, room, tariff, rules);
    }

    public PlanSite withBatteries(List<PoolBattery> others) {
        return new PlanSite(machines, others, chargers, charging, people, room, tariff, rules);
    }

    public PlanSite withChargers(List<PlanCharger> others) {
        return new PlanSite(machines, batteries, others, charging, people, room, tariff, rules);
    }

    public PlanSite withCharging(List<Pairing> others) {
        return new PlanSite(machines, batteries, chargers, others, people, room, tariff, rules);
    }

    public PlanSite withPeople(List<Worker> others) {
        return new PlanSite(machines, batteries, chargers, charging, others, room, tariff, rules);
    }

    public PlanSite withRoom(RoomLimits other) {
        return new PlanSite(machines, batteries, chargers, charging, people, other, tariff, rules);
    }

    public PlanSite withTariff(List<Price> others) {
        return new PlanSite(machines, batteries, chargers, charging, people, room, others, rules);
    }

    public PlanSite withRules(Times others) {
        return new PlanSite(machines, batteries, chargers, charging, people, room, tariff, others);
    }
}
