package org.ostendum.standins;

import java.time.Duration;
import java.util.Random;

/** What a bad line does to an answer: it comes late, or it is rustle. For tests of whoever listens. */
final class Mischief {
    private final Random random = new Random(4711);
    private volatile Duration delay = Duration.ZERO;
    private volatile double garbled;

    void delay(Duration each) {
        delay = each;
    }

    /** @param part of the answers of which a word is rustle, 0 to 1 */
    void garble(double part) {
        garbled = part;
    }

    int[] spoil(int[] registers) {
        pause();
        synchronized (random) {
            if (random.nextDouble() < garbled) {
                registers[random.nextInt(registers.length)] = random.nextInt(65_536);
            }
        }
        return registers;
    }

    private void pause() {
        try {
            Thread.sleep(delay.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
