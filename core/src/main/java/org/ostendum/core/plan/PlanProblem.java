package org.ostendum.core.plan;

import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * A room to be planned: its machines with what they need, batteries, chargers, people and limits. It carries everything the plan
 * depends on, so that a program may plan a room of its own.
 *
 * @param from nothing new begins before
 * @param until nothing new begins at or after; what has begun may go on
 * @param seconds to search for, 0 for the rule of thumb alone
 * @param seed of the search: the same seed and the same number of steps give the same plan
 * @param earlier plan in force, to be disturbed little; null for none
 * @param pinned jobs that stay as they are; those begun before {@code from} are facts
 * @param weights by name of the term; one not named has its usual weight
 */
public record PlanProblem(
        Instant from,
        Instant until,
        int seconds,
        long seed,
        @Nullable Plan earlier,
        List<PlanJob> pinned,
        List<Machine> machines,
        List<PoolBattery> batteries,
        List<PlanCharger> chargers,
        List<Pairing> charging,
        List<Worker> people,
        Room room,
        List<Price> tariff,
        Times rules,
        Map<Term, Double> weights) {
    public PlanProblem {
        pinned = List.copyOf(pinned);
        machines = List.copyOf(machines);
        batteries = List.copyOf(batteries);
        chargers = List.copyOf(chargers);
        charging = List.copyOf(charging);
        people = List.copyOf(people);
        tariff = List.copyOf(tariff);
        weights = Map.copyOf(weights);
    }

    /** @return the same room with a plan in force, and chargers that are away from now on */
    public PlanProblem after(Plan inForce, Predicate<PlanCharger> dead) {
        List<PlanCharger> left = chargers.stream()
                .map(charger -> dead.test(charger) ? charger.away(List.of(new Span(from, until))) : charger)
                .toList();
        return new PlanProblem(
                from, until, seconds, seed, inForce, pinned, machines, batteries, left, charging, people, room, tariff,
                rules, weights);
    }

    /** @return the same with what has begun alone: what people have pinned is let go */
    public PlanProblem withoutPins() {
        List<PlanJob> begun =
                pinned.stream().filter(job -> job.start().isBefore(from)).toList();
        return new PlanProblem(
                from, until, seconds, seed, earlier, begun, machines, batteries, chargers, charging, people, room,
                tariff, rules, weights);
    }

    public PlanProblem withWeights(Map<Term, Double> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, chargers, charging, people, room,
                tariff, rules, others);
    }

    public PlanProblem withBatteries(List<PoolBattery> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, others, chargers, charging, people, room, tariff,
                rules, weights);
    }

    public PlanProblem withCharging(List<Pairing> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, chargers, others, people, room,
                tariff, rules, weights);
    }

    public PlanProblem withMachines(List<Machine> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, others, batteries, chargers, charging, people, room,
                tariff, rules, weights);
    }

    public PlanProblem withChargers(List<PlanCharger> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, others, charging, people, room,
                tariff, rules, weights);
    }

    public PlanProblem withPeople(List<Worker> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, chargers, charging, others, room,
                tariff, rules, weights);
    }

    public PlanProblem withTariff(List<Price> others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, chargers, charging, people, room,
                others, rules, weights);
    }

    public PlanProblem withRoom(Room other) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, chargers, charging, people, other,
                tariff, rules, weights);
    }

    public PlanProblem withRules(Times others) {
        return new PlanProblem(
                from, until, seconds, seed, earlier, pinned, machines, batteries, chargers, charging, people, room,
                tariff, others, weights);
    }

    /**
     * A machine and what it needs.
     *
     * @param weightFromKg least a battery has to weigh, being the counterweight
     * @param battery code of the one now in it; null for none
     * @param fixed whether its battery is never changed and charges in place
     * @param refuses codes of batteries that do not sit in its bay by their size
     */
    public record Machine(
            String code,
            int volts,
            String connector,
            double weightFromKg,
            double weightToKg,
            @Nullable String battery,
            boolean fixed,
            Set<String> refuses,
            List<Shift> shifts) {
        public Machine {
            refuses = Set.copyOf(refuses);
            shifts = List.copyOf(shifts);
        }

        /** One whose bay nobody has measured. */
        public Machine(
                String code,
                int volts,
                String connector,
                double weightFromKg,
                double weightToKg,
                @Nullable String battery,
                boolean fixed,
                List<Shift> shifts) {
            this(code, volts, connector, weightFromKg, weightToKg, battery, fixed, Set.of(), shifts);
        }

        public Machine with(List<Shift> others) {
            return holding(battery, others);
        }

        /** @param inIt code of the battery now in it; null for none */
        public Machine holding(@Nullable String inIt, List<Shift> others) {
            return new Machine(code, volts, connector, weightFromKg, weightToKg, inIt, fixed, refuses, others);
        }
    }

    /**
     * A stretch of work.
     *
     * @param id unlike any other of its machine
     * @param ah taken out in all of it, 0 and up
     */
    public record Shift(String id, Instant start, Instant end, double ah) {
        public Span span() {
            return new Span(start, end);
        }
    }

    /**
     * A battery.
     *
     * @param missingAh to be put back now, 0 for full
     * @param coolUntil when it may work again; null for now
     * @param held whether it may not work
     * @param leastSoc part of its charge that stays in it, 0 to 1
     * @param cycles so far
     * @param place where it stands
     */
    public record PoolBattery(
            String code,
            int volts,
            String connector,
            double weightKg,
            double capacityAh,
            double missingAh,
            @Nullable Instant coolUntil,
            boolean held,
            double leastSoc,
            int cycles,
            String place,
            List<Due> due) {
        public PoolBattery {
            due = List.copyOf(due);
        }

        /** @return the same with nothing that falls due */
        public PoolBattery withoutCare() {
            return new PoolBattery(
                    code,
                    volts,
                    connector,
                    weightKg,
                    capacityAh,
                    missingAh,
                    coolUntil,
                    held,
                    leastSoc,
                    cycles,
                    place,
                    List.of());
        }

        /** @return Ah that may be taken out of it, full */
        public double usableAh() {
            return capacityAh * (1 - leastSoc);
        }

        /** @return whether it goes into that machine by plate, plug and size; a fixed machine takes its own alone */
        public boolean fits(Machine machine) {
            if (machine.fixed()) {
                return code.equals(machine.battery());
            }
            return volts == machine.volts()
                    && connector.equalsIgnoreCase(machine.connector())
                    && weightKg >= machine.weightFromKg()
                    && weightKg <= machine.weightToKg()
                    && !machine.refuses().contains(code);
        }
    }

    /**
     * Care that falls due.
     *
     * @param minutes of a person
     * @param takes minutes on the charger, for an equalising charge; for a test that empties the battery on the bench its minutes in
     *     all, more than {@code minutes}; 0 for other care
     */
    public record Due(Task what, Instant from, Instant until, int minutes, int takes) {
        /** @return whether it is emptied on the bench, which goes on by itself once a person has begun it */
        public boolean isOnBench() {
            return what == Task.TEST && takes > minutes;
        }
    }

    /**
     * A charger.
     *
     * @param kw it draws while it charges
     * @param litresPerHour of hydrogen while it finishes
     * @param air name of the air it gasses into, one of {@link Room#airs}; empty where there is only one
     * @param away when it cannot be used
     */
    public record PlanCharger(
            String code,
            int volts,
            String connector,
            String place,
            double kw,
            double litresPerHour,
            String air,
            List<Span> away) {
        public PlanCharger {
            away = List.copyOf(away);
        }

        /** One in a place with one air. */
        public PlanCharger(
                String code,
                int volts,
                String connector,
                String place,
                double kw,
                double litresPerHour,
                List<Span> away) {
            this(code, volts, connector, place, kw, litresPerHour, "", away);
        }

        /** @return the same, which cannot be used at other times */
        public PlanCharger away(List<Span> times) {
            return new PlanCharger(code, volts, connector, place, kw, litresPerHour, air, times);
        }
    }

    /**
     * A battery on a charger; a pair that is not listed does not go together. A charge lasts {@code finishMinutes + minutesPerAh × missing
     * Ah}.
     *
     * @param spread standard deviation of the length's logarithm, 0 and up; the length above is the one that one charge in twenty passes
     */
    public record Pairing(String battery, String charger, double minutesPerAh, double finishMinutes, double spread) {
        public Pairing(String battery, String charger, double minutesPerAh, double finishMinutes) {
            this(battery, charger, minutesPerAh, finishMinutes, Lateness.USUAL_SPREAD);
        }

        /** @return whole seconds of the charge that puts so much back */
        public long seconds(double missingAh) {
            return Math.round(60 * (finishMinutes + minutesPerAh * missingAh));
        }
    }

    /**
     * Somebody who works in the room.
     *
     * @param quiet when nothing should be planned for him, where it can be helped: breaks, the hand-over
     */
    public record Worker(String code, Set<Task> may, List<Span> shifts, List<Span> quiet) {
        public Worker {
            may = Set.copyOf(may);
            shifts = List.copyOf(shifts);
            quiet = List.copyOf(quiet);
        }

        /** One without quiet times. */
        public Worker(String code, Set<Task> may, List<Span> shifts) {
            this(code, may, shifts, List.of());
        }

        /** @return the same, who is there at other times */
        public Worker there(List<Span> others) {
            return new Worker(code, may, others, quiet);
        }

        public boolean isThere(Span span) {
            return shifts.stream().anyMatch(shift -> shift.holds(span));
        }

        public boolean isQuiet(Span span) {
            return quiet.stream().anyMatch(span::touches);
        }
    }

    /**
     * What the room bears.
     *
     * @param kwMost of all chargers together; null for no limit
     * @param litresPerHourMost of hydrogen of all chargers together; null for no limit
     * @param airs litres of hydrogen an hour that each air carries off, by its name; one that is not named has no limit of its own
     * @param kwReached the most that the meter has shown since it was read for a bill, which is paid anyhow; 0 where nobody knows
     */
    public record Room(
            @Nullable Double kwMost, @Nullable Double litresPerHourMost, Map<String, Double> airs, double kwReached) {
        public static final Room UNLIMITED = new Room(null, null);

        public Room {
            airs = Collections.unmodifiableMap(new LinkedHashMap<>(airs));
        }

        /** One with one air. */
        public Room(@Nullable Double kwMost, @Nullable Double litresPerHourMost) {
            this(kwMost, litresPerHourMost, Map.of());
        }

        public Room(@Nullable Double kwMost, @Nullable Double litresPerHourMost, Map<String, Double> airs) {
            this(kwMost, litresPerHourMost, airs, 0);
        }

        /** @return the same where the meter has shown so much already */
        public Room reached(double kilowatts) {
            return new Room(kwMost, litresPerHourMost, airs, kilowatts);
        }
    }

    /** What a kWh costs meanwhile. */
    public record Price(Instant start, Instant end, double perKwh) {}

    /** Minutes that things take; {@code plugMinutes} are reckoned as work of people and put nowhere in the plan. */
    public record Times(int coolMinutes, int changeMinutes, int plugMinutes) {
        public static final Times USUAL = new Times(480, 15, 3);
    }
}
