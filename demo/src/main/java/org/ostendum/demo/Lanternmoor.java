package org.ostendum.demo;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.people.Role;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.ostendum.demo.lives.Ending;
import org.ostendum.demo.lives.Habits;
import org.ostendum.sim.Fault;

/** The made-up film studio of the demo: its people, models, room, machines and batteries. */
final class Lanternmoor {
    static final String PASSWORD = "lanternmoor";

    private Lanternmoor() {}

    record Someone(String login, String name, Role role) {}

    static final List<Someone> PEOPLE = List.of(
            new Someone("maud", "Maud Ferrow", Role.LEAD),
            new Someone("tom", "Tom Brackett", Role.TECHNICIAN),
            new Someone("ines", "Ines Halloway", Role.TECHNICIAN),
            new Someone("oskar", "Oskar Lindqvarn", Role.SAFETY),
            new Someone("priya", "Priya Nandalay", Role.MECHANIC),
            new Someone("vera", "Vera Quillon", Role.VIEWER));

    /** A stand, its number of slots, and the chargers above them: cells 0 for none. */
    record Standing(Stand stand, int slots, String chargers, int chargerCells, int chargerAmps) {}

    static final int ROOM_WIDTH_CM = 2600;
    static final int ROOM_DEPTH_CM = 2080;

    static final List<Standing> STANDS = List.of(
            new Standing(stand("A", "Stand A", StandKind.STAND, 40, 30, 1860, 310), 8, "CA", 18, 100),
            new Standing(stand("B", "Stand B", StandKind.STAND, 40, 370, 1860, 310), 8, "CB", 24, 120),
            new Standing(stand("GN", "Golf cars, north", StandKind.PARKING, 40, 730, 1860, 250), 9, "", 0, 0),
            new Standing(stand("GS", "Golf cars, south", StandKind.PARKING, 40, 1010, 1860, 250), 9, "", 0, 0),
            new Standing(stand("PL", "Platforms", StandKind.PARKING, 40, 1290, 1440, 250), 7, "", 0, 0),
            new Standing(stand("AB", "Aircraft bench", StandKind.BENCH, 2000, 30, 540, 1230), 4, "CK", 12, 20),
            new Standing(stand("D1", "At the door, east", StandKind.DOOR, 40, 1620, 2520, 225), 7, "", 0, 0),
            new Standing(stand("D2", "At the door, west", StandKind.DOOR, 40, 1870, 2520, 225), 7, "", 0, 0));

    private static Stand stand(String code, String name, StandKind kind, int x, int y, int width, int depth) {
        return new Stand(0, code, name, kind, x, y, width, depth, List.of());
    }

    /** A machine and the stand on which it parks, in the next free slot. */
    record Parked(String code, String name, MachineKind kind, int volts, int fromKg, int toKg, String stand) {}

    static List<Parked> machines() {
        return IntStream.rangeClosed(1, 43).mapToObj(Lanternmoor::machine).toList();
    }

    private static Parked machine(int n) {
        if (n <= 14) {
            int weight = n <= 6 ? 930 : n <= 9 ? 1340 : n <= 12 ? 520 : 810;
            return new Parked(
                    "F" + n,
                    "Forklift " + n + (n <= 9 ? ", stages" : ", prop store"),
                    MachineKind.FORKLIFT,
                    n <= 6 || n >= 13 ? 36 : n <= 9 ? 48 : 24,
                    weight - 60,
                    weight + 60,
                    n <= 7 ? "D1" : "D2");
        } else if (n <= 32) {
            int car = n - 14;
            return new Parked(
                    "C" + car,
                    "Crew car " + car,
                    MachineKind.GOLF_CAR,
                    car > 8 && car <= 14 ? 36 : 48,
                    0,
                    0,
                    car <= 9 ? "GN" : "GS");
        } else if (n <= 39) {
            int lift = n - 32;
            return new Parked("L" + lift, "Lighting platform " + lift, MachineKind.PLATFORM, 24, 0, 0, "PL");
        }
        int kite = n - 39;
        return new Parked("K" + kite, "Camera plane " + kite, MachineKind.AIRCRAFT, kite % 2 == 1 ? 24 : 12, 0, 0, "");
    }

    /** Where a battery is between charge and work at this hour. */
    enum Hour {
        RESTED(0),
        CHARGING(5),
        COOLING(11),
        WORKED(2);

        private final int hours;

        Hour(int hours) {
            this.hours = hours;
        }

        /** How long ago the work ended that brought it there. */
        Duration sinceWork() {
            return Duration.ofHours(hours);
        }
    }

    /**
     * One battery.
     *
     * @param machine it is in, empty for a slot
     * @param stand on which it stands in the next free slot, empty for a machine
     * @param faults what goes wrong in its year; days from the beginning of its simulated life
     * @param endings what its last round shows besides
     * @param daysAgo when its last round was taken
     */
    record OneBattery(
            String code,
            String serial,
            String model,
            String machine,
            String stand,
            Habits habits,
            List<Fault> faults,
            List<Ending> endings,
            int daysAgo,
            Hour hour,
            int monthsOld) {
        /** Whether its year has anything for the judge to find. */
        boolean hasStory() {
            return !faults.isEmpty() || !endings.isEmpty();
        }
    }

    static List<OneBattery> batteries() {
        return IntStream.rangeClosed(1, 59).mapToObj(Lanternmoor::battery).toList();
    }

    private static OneBattery battery(int n) {
        if (n <= 30) {
            return trayBattery(n);
        } else if (n <= 48) {
            int car = n - 30;
            String model = car <= 8 ? "Tarnfield 6x8" : car <= 14 ? "Tarnfield 6x6" : "Tarnfield 4x12";
            String code = "G-%02d".formatted(car);
            Habits habits = new Habits(6, 0.45, 24, 13, 30);
            return one(
                    code,
                    4000 + car,
                    model,
                    "C" + car,
                    "",
                    habits,
                    6 + car * 7 % 17,
                    car % 7 == 5 ? Hour.WORKED : Hour.RESTED);
        } else if (n <= 55) {
            int lift = n - 48;
            Habits habits = new Habits(5, 0.5, 26, 13, 30);
            return one("P-" + lift, 6000 + lift, "Tarnfield 4x6", "L" + lift, "", habits, 4 + lift * 3, Hour.RESTED);
        }
        int kite = n - 55;
        Habits habits = new Habits(3, 0.2, 28, 40, 60);
        String model = kite % 2 == 1 ? "Skyrow 24-36" : "Skyrow 12-35";
        return one(
                "A-" + kite,
                8000 + kite,
                model,
                "",
                "AB",
                habits,
                5 + kite * 4,
                kite == 2 ? Hour.CHARGING : Hour.RESTED);
    }

    private static OneBattery trayBattery(int n) {
        String model = n <= 13
                ? "Corvane 36-600"
                : n <= 19
                        ? "Corvane 48-700"
                        : n <= 25 ? "Corvane 24-450" : n <= 28 ? "Hallowmere 36-510" : "Hallowmere 24-300";
        String code = "T-%02d".formatted(n);
        String truck = truckOf(n);
        String stand = truck.isEmpty() ? (n <= 16 ? "A" : "B") : "";
        Hour hour = truck.isEmpty()
                ? switch (n % 5) {
                    case 0 -> Hour.CHARGING;
                    case 1 -> Hour.COOLING;
                    default -> Hour.RESTED;
                }
                : Hour.WORKED;
        return one(code, 2000 + n, model, truck, stand, new Habits(5, 0.7, 14, 12, 30), 1 + n * 5 % 13, hour);
    }

    /** Six, three, three and two trucks of four voltages and weights, each with a battery that fits it. */
    private static final List<Integer> IN_TRUCKS = List.of(1, 2, 3, 6, 10, 13, 14, 15, 18, 21, 23, 25, 26, 27);

    private static String truckOf(int n) {
        int truck = IN_TRUCKS.indexOf(n);
        return truck < 0 ? "" : "F" + (truck + 1);
    }

    private static OneBattery one(
            String code,
            int serial,
            String model,
            String machine,
            String stand,
            Habits habits,
            int daysAgo,
            Hour hour) {
        List<Fault> faults = faultsOf(code);
        List<Ending> endings = endingsOf(code);
        boolean stopped = code.equals("T-07") || code.equals("T-22");
        boolean isTold = !faults.isEmpty() || !endings.isEmpty();
        return new OneBattery(
                code,
                "LM" + serial * 7,
                model,
                machine,
                stand,
                NEVER_EQUALISED.contains(code) ? habits.withoutEqualising() : habits,
                faults,
                endings,
                isTold ? daysAgo % 4 + 1 : daysAgo,
                stopped ? Hour.RESTED : hour,
                14 + serial % 40);
    }

    /** Cars that have not worked since their last round. */
    static final List<String> PUT_AWAY = List.of("G-13", "G-15", "G-16");

    private static final Set<String> NEVER_EQUALISED = Set.of("T-04", "G-12");

    /** What goes wrong with a battery in its year, for the judge to find. */
    private static List<Fault> faultsOf(String code) {
        return switch (code) {
            case "T-07" -> List.of(new Fault.SoftShort(9, 210, 0.00028));
            case "T-11" -> List.of(new Fault.SoftShort(14, 250, 0.00022));
            case "T-04" -> leftBehind(0.0011);
            case "T-16" -> List.of(new Fault.EarlyStop(340, 0.12));
            case "G-12" -> leftBehind(0.0012);
            case "T-23" -> List.of(new Fault.SoftShort(4, 190, 0.0003));
            case "G-08" -> List.of(new Fault.Tap(1, 8, 120, 0.12));
            case "G-06" -> List.of(new Fault.SoftShort(17, 160, 0.0003));
            case "A-3" -> List.of(new Fault.EarlyStop(260, 0.1));
            default -> List.of();
        };
    }

    /** Two cells of each three: an ordinary charge no longer brings them up to the others, and nobody equalises. */
    private static List<Fault> leftBehind(double perDay) {
        return IntStream.rangeClosed(1, 18)
                .filter(cell -> cell % 3 > 0)
                .<Fault>mapToObj(cell -> new Fault.SulfatedCell(cell, 200, perDay))
                .toList();
    }

    /** What the last round of a battery shows besides. */
    private static List<Ending> endingsOf(String code) {
        return switch (code) {
            case "T-07" -> List.of(new Ending.EqualisedAtTheEnd());
            case "T-20" -> List.of(new Ending.Thirsty(5));
            case "T-22" -> List.of(new Ending.PlatesShowing(4));
            case "T-26" -> List.of(new Ending.Turned(7, Colour.BROWN));
            case "T-05" -> List.of(new Ending.SlipOfTheKey(12, -90));
            case "T-09" -> List.of(new Ending.ReadAfterWater());
            case "T-28" -> List.of(new Ending.Forgotten(41));
            case "G-03" -> List.of(new Ending.Thirsty(24));
            case "G-09" -> List.of(new Ending.Overfilled(4));
            case "G-17" -> List.of(new Ending.Forgotten(63));
            case "P-2" -> List.of(new Ending.Forgotten(38));
            case "P-5" -> List.of(new Ending.ReadInService(25));
            default -> List.of();
        };
    }
}
