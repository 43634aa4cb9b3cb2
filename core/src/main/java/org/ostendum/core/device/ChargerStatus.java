package org.ostendum.core.device;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;

/**
 * What a charger says of itself.
 *
 * @param beat seconds of its own clock, 0 to 65535 and round again: one that stands still tells old news
 * @param ampHours put in since this charge began
 * @param wattHours from the mains since it was built
 * @param starts charges begun since it was built
 * @param running time since this charge began, by its own clock
 */
public record ChargerStatus(
        int beat,
        State state,
        Trouble trouble,
        Volts volts,
        Amperes amperes,
        AmpHours ampHours,
        long wattHours,
        int starts,
        Duration running) {
    /** RegisterWords of the block. */
    public static final int LENGTH = 14;

    private static final int MARK = 0x0571;
    // In the order of the wire, which stays when the words of the trade change theirs.
    private static final List<State> STATES = List.of(
            State.EMPTY,
            State.WAITING,
            State.BULK,
            State.ABSORPTION,
            State.FINISH,
            State.EQUALISING,
            State.DONE,
            State.KEEPING,
            State.TROUBLE);
    private static final List<Trouble> TROUBLES =
            List.of(Trouble.NONE, Trouble.LOCKOUT, Trouble.NO_OUTPUT, Trouble.WRONG_VOLTAGE);
    private static final double MOST_VOLTS = 200;
    private static final double MOST_AMPERES = 1000;
    private static final long MOST_SECONDS = Duration.ofDays(30).toSeconds();

    public enum State {
        /** Nothing is plugged in. */
        EMPTY,
        /** A battery is plugged in and no current flows. */
        WAITING,
        BULK,
        ABSORPTION,
        FINISH,
        /** A low current for some hours, after the charge or instead of it. */
        EQUALISING,
        /** Its lamp says that it is done. */
        DONE,
        /** Done, and keeps the battery full. */
        KEEPING,
        TROUBLE;

        public boolean isCharging() {
            return this == BULK || this == ABSORPTION || this == FINISH || this == EQUALISING;
        }

        /** @return whether its lamp says that it is done */
        public boolean isLampLit() {
            return this == DONE || this == KEEPING;
        }
    }

    public enum Trouble {
        NONE,
        /** The battery lies below the voltage from which it starts. */
        LOCKOUT,
        NO_OUTPUT,
        WRONG_VOLTAGE
    }

    public int[] registers() {
        return RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(beat)
                .put(state, STATES)
                .put(trouble, TROUBLES)
                .put(Math.round(volts.volts() * 100))
                .put(Math.round(amperes.amperes() * 10))
                .putLong(ampHours.tenths())
                .putLong(wattHours)
                .putLong(starts)
                .putLong(running.toSeconds())
                .written();
    }

    /** @return empty for what cannot be: a faulty line, another device */
    public static Optional<ChargerStatus> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        int beat = words.word();
        State state = words.oneOf(STATES);
        Trouble trouble = words.oneOf(TROUBLES);
        double volts = words.word() / 100.0;
        double amperes = words.word() / 10.0;
        long ampHours = words.doubleWord();
        long wattHours = words.doubleWord();
        long starts = words.doubleWord();
        long seconds = words.doubleWord();
        words.expect(volts <= MOST_VOLTS && amperes <= MOST_AMPERES);
        words.expect(ampHours <= 10L * AmpHours.MOST && starts <= Integer.MAX_VALUE && seconds <= MOST_SECONDS);
        words.expect((trouble == Trouble.NONE) == (state != State.TROUBLE));
        return words.isSound()
                ? Optional.of(new ChargerStatus(
                        beat,
                        state,
                        trouble,
                        Volts.of(volts),
                        new Amperes(amperes),
                        new AmpHours((int) ampHours),
                        wattHours,
                        (int) starts,
                        Duration.ofSeconds(seconds)))
                : Optional.empty();
    }
}
