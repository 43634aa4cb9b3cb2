package org.ostendum.core.device;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;

/**
 * What a load bank says of itself.
 *
 * @param beat seconds of its own clock, as a charger's
 * @param ampHours drawn since this test began
 * @param running time under load since this test began, by its own clock
 * @param starts tests begun since it was built
 * @param leads volts across each of its leads, first to last; none before a test
 */
public record LoadBankStatus(
        int beat,
        State state,
        Volts volts,
        Amperes amperes,
        AmpHours ampHours,
        Duration running,
        int starts,
        List<Double> leads) {
    /** Leads that it can have. */
    public static final int MOST_LEADS = 48;

    public static final int LENGTH = 12 + MOST_LEADS;

    private static final int MARK = 0x0576;
    private static final List<State> STATES = List.of(
            State.EMPTY, State.READY, State.DRAWING, State.ENDED, State.ENDED_BY_CELL, State.STOPPED, State.TROUBLE);
    private static final double MOST_VOLTS = 200;
    private static final double MOST_AMPERES = 1000;
    private static final long MOST_SECONDS = Duration.ofDays(3).toSeconds();

    public LoadBankStatus {
        leads = List.copyOf(leads);
    }

    public enum State {
        /** Nothing is clamped to it. */
        EMPTY,
        READY,
        DRAWING,
        /** The battery has reached its cut-off, the load is off. */
        ENDED,
        /** A lead has reached its limit, the load is off. */
        ENDED_BY_CELL,
        /** Told to stop, or its time was over. */
        STOPPED,
        /** Too hot, or a fault of its own: the load is off. */
        TROUBLE
    }

    public int[] registers() {
        RegisterWords words = RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(beat)
                .put(state, STATES)
                .put(Math.round(volts.volts() * 100))
                .put(Math.round(amperes.amperes() * 10))
                .putLong(ampHours.tenths())
                .putLong(running.toSeconds())
                .putLong(starts)
                .put(leads.size());
        leads.forEach(lead -> words.put(Math.round(lead * 1000)));
        return words.written();
    }

    /** @return empty for what cannot be: a faulty line, another device */
    public static Optional<LoadBankStatus> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        int beat = words.word();
        State state = words.oneOf(STATES);
        double volts = words.word() / 100.0;
        double amperes = words.word() / 10.0;
        long ampHours = words.doubleWord();
        long seconds = words.doubleWord();
        long starts = words.doubleWord();
        int count = words.word();
        words.expect(volts <= MOST_VOLTS && amperes <= MOST_AMPERES && count <= MOST_LEADS);
        words.expect(ampHours <= 10L * AmpHours.MOST && starts <= Integer.MAX_VALUE && seconds <= MOST_SECONDS);
        List<Double> leads = new ArrayList<>();
        for (int lead = 0; words.isSound() && lead < count; lead++) {
            leads.add(words.signed() / 1000.0);
        }
        return words.isSound()
                ? Optional.of(new LoadBankStatus(
                        beat,
                        state,
                        Volts.of(volts),
                        new Amperes(amperes),
                        new AmpHours((int) ampHours),
                        Duration.ofSeconds(seconds),
                        (int) starts,
                        leads))
                : Optional.empty();
    }
}
