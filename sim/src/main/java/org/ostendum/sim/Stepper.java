package org.ostendum.sim;

/**
 * Moves a battery through time in steps of one length. An event is a function of the state that ends the stretch when it
 * rises through zero; the step in which it does is cut at the crossing, found on the chord. Observers see accepted steps
 * only.
 */
final class Stepper {
    /** The current at each moment. */
    interface Current {
        /** @return A into the battery; negative while it works */
        double amps(CellBank bank);
    }

    /** Ends a stretch when it rises through zero. */
    interface Event {
        double value(CellBank bank, double ampHours);
    }

    /** Watches accepted steps. */
    interface Observer {
        void accepted(CellBank bank, double hours, double amps);
    }

    static final Event NEVER = (bank, ampHours) -> -1;
    static final Observer NOBODY = (bank, hours, amps) -> {};

    private final Chemistry chemistry;
    private final double step;
    private final Observer observer;

    /** @param step hours; a sixtieth for one minute */
    Stepper(Chemistry chemistry, double step, Observer observer) {
        this.chemistry = chemistry;
        this.step = step;
        this.observer = observer;
    }

    /**
     * A stretch that was run.
     *
     * @param hours it took
     * @param ampHours that went in; negative for a discharge
     */
    record Run(double hours, double ampHours) {}

    /** @param until ends it before {@code atMost} hours have passed */
    Run run(CellBank bank, Current current, double atMost, Event until) {
        double hours = 0;
        double ampHours = 0;
        double before = until.value(bank, 0);
        while (hours < atMost - 1e-9 && before < 0) {
            double length = Math.min(step, atMost - hours);
            double amps = current.amps(bank);
            chemistry.step(bank, amps, length);
            double after = until.value(bank, ampHours + amps * length);
            if (after >= 0) {
                double back = length * (1 - before / (before - after));
                chemistry.step(bank, amps, -back);
                length -= back;
                after = 0;
            }
            hours += length;
            ampHours += amps * length;
            observer.accepted(bank, length, amps);
            before = after;
        }
        return new Run(hours, ampHours);
    }
}
