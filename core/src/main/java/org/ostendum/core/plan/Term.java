package org.ostendum.core.plan;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What makes one plan worse than another, and how much it weighs where nobody has said otherwise. The weights are rules of thumb. */
public enum Term {
    /** Shifts without a battery. */
    UNMET(1000),
    /** Days that care is late, or left undone at the end. */
    OVERDUE(20),
    /** Batteries left uncharged at the end. */
    UNCHARGED(60),
    /** Shifts whose battery will be late, by chance: a charge takes longer now and then. */
    LATE(1000),
    /** Money for energy. */
    ENERGY(1),
    /** Most kW in the mean of a half hour, as charges draw them; not less than the meter has reached already. */
    PEAK(0.5),
    /** How unevenly the batteries of a pool work: squares of cycles above the least. */
    ROTATION(0.5),
    /** Hours by which a battery that goes to work has rested less than a day. */
    REST(0.1),
    /** Changes of batteries. */
    CHANGES(1),
    /** Changes within the last hour before a shift. */
    HURRY(1),
    /** Jobs in the quiet time of the person who does them. */
    QUIET(2),
    /** Jobs that are not as they were in the plan before. */
    MOVED(5);

    private final double usual;

    Term(double usual) {
        this.usual = usual;
    }

    public double usualWeight() {
        return usual;
    }

    /** As programs write it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Term> find(String word) {
        return Stream.of(values()).filter(term -> term.word().equals(word)).findFirst();
    }
}
