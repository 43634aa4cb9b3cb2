package org.ostendum.standins;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * How the process was started.
 *
 * @param bank file of the chargers
 * @param folder for what they write
 * @param speed simulated seconds for each real one
 * @param origin simulated time at the start
 * @param roomVolume m³
 * @param fanAir m³/h
 * @param mailPort and {@code hookPort}: where messages of alarms arrive, 0 for nowhere
 */
record Settings(
        int port,
        Path bank,
        Path folder,
        double speed,
        Instant origin,
        double roomVolume,
        double fanAir,
        int mailPort,
        int hookPort) {

    /**
     * @param arguments {@code --name=value}: port, bank, folder, speed, origin, room, air, mail, hook
     * @throws IllegalArgumentException for one that is unknown or cannot be
     */
    static Settings of(String[] arguments) {
        Map<String, String> given =
                new HashMap<>(Map.of("speed", "1", "room", "900", "air", "600", "mail", "0", "hook", "0"));
        for (String argument : arguments) {
            String[] parts = argument.split("=", 2);
            if (parts.length < 2 || !parts[0].startsWith("--")) {
                throw new IllegalArgumentException("'" + argument + "' is not of the form --name=value");
            }
            given.put(parts[0].substring(2), parts[1]);
        }
        Path bank = Path.of(required(given, "bank"));
        Path beside = bank.toAbsolutePath().resolveSibling(".").normalize();
        return new Settings(
                Integer.parseInt(required(given, "port")),
                bank,
                Path.of(given.getOrDefault("folder", beside.toString())),
                Double.parseDouble(required(given, "speed")),
                given.containsKey("origin") ? Instant.parse(required(given, "origin")) : Instant.now(),
                Double.parseDouble(required(given, "room")),
                Double.parseDouble(required(given, "air")),
                Integer.parseInt(required(given, "mail")),
                Integer.parseInt(required(given, "hook")));
    }

    private static String required(Map<String, String> given, String name) {
        String value = given.get(name);
        if (value == null) {
            throw new IllegalArgumentException("--" + name + "= is wanting");
        }
        return value;
    }

    /** @param started real time at which the process began */
    Supplier<Instant> clock(Instant started) {
        return () -> origin.plusMillis(
                Math.round(Duration.between(started, Instant.now()).toMillis() * speed));
    }
}
