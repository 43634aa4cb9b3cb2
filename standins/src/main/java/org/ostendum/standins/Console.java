package org.ostendum.standins;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import org.ostendum.core.device.HandOrder;
import org.ostendum.sim.SimulatedCharger.Defect;

/**
 * What somebody who stands at the process may have it do: {@code slow MS}, {@code garble PART}, {@code defect PLACE
 * NAME}, {@code fan on|off}, {@code loadbank silent|speaks}, {@code quit}.
 */
final class Console {
    private final SimulatedRoom room;
    private final Mischief mischief;
    private final BufferedReader in;
    private final PrintStream out;

    Console(SimulatedRoom room, Mischief mischief, InputStream in, PrintStream out) {
        this.room = room;
        this.mischief = mischief;
        this.in = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
        this.out = out;
    }

    /** Until told to quit, or for as long as the process lives once the input has ended. */
    void run() throws IOException, InterruptedException {
        String line;
        while ((line = in.readLine()) != null) {
            String[] words = line.strip().split(" +", -1);
            if (words[0].equals("quit")) {
                return;
            }
            try {
                obey(words);
                out.println("done: " + line);
            } catch (RuntimeException e) {
                out.println("not understood: " + line + " (" + e.getMessage() + ")");
            }
        }
        Thread.currentThread().join();
    }

    private void obey(String[] words) {
        switch (words[0]) {
            case "slow" -> mischief.delay(Duration.ofMillis(Long.parseLong(words[1])));
            case "garble" -> mischief.garble(Double.parseDouble(words[1]));
            case "defect" ->
                room.charger(Integer.parseInt(words[1]))
                        .orElseThrow(() -> new IllegalArgumentException("no charger at place " + words[1]))
                        .plant(Defect.valueOf(words[2].toUpperCase(Locale.ROOT)));
            case "fan" ->
                room.obey(HandOrder.of(words[1].equals("on") ? HandOrder.Act.FAN_ON : HandOrder.Act.FAN_OFF, 0));
            case "loadbank" -> room.silenceLoadBank(words[1].equals("silent"));
            default -> throw new IllegalArgumentException("slow, garble, defect, fan, loadbank or quit");
        }
    }
}
