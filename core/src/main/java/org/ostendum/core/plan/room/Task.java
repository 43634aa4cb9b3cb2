package org.ostendum.core.plan.room;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a job of a plan is. */
public enum Task {
    /** A battery works in a machine. */
    USE,
    CHARGE,
    /** It rests after a charge before it may work. */
    COOL,
    /** It is put into a machine. */
    CHANGE,
    WATER,
    ROUND,
    EQUALISE,
    WASH,
    TEST;

    /** As programs write it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @return whether a person has a hand in it */
    public boolean wantsPerson() {
        return this != USE && !runsByItself();
    }

    /** @return whether it goes on with nobody there */
    public boolean runsByItself() {
        return this == CHARGE || this == COOL || this == EQUALISE;
    }

    /** @return whether it takes a charger */
    public boolean wantsCharger() {
        return this == CHARGE || this == EQUALISE;
    }

    /** @return whether it is care that falls due, rather than part of the daily round */
    public boolean isCare() {
        return this == WATER || this == ROUND || this == EQUALISE || this == WASH || this == TEST;
    }

    /** @return whether it may only be done to a full battery: water would overflow, readings would mislead */
    public boolean wantsFull() {
        return this == WATER || this == ROUND;
    }

    public static Optional<Task> find(String word) {
        return Stream.of(values()).filter(task -> task.word().equals(word)).findFirst();
    }
}
