package org.ostendum.core.state;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.state.fact.OpenDefect;

/**
 * What is known at this moment without being an event of the battery: what its tag and the room's sensor measure, what is wrong
 * with the machine it is in.
 *
 * @param battery its electrolyte as a tag measures it; null where none does
 * @param room null likewise
 * @param ofMachine open defects of the machine it is in
 * @param inHand title of an open job that has taken it in hand, so that nothing else is done with it; null for none
 * @param promisedTo code of a machine for which it is being fetched; null for none
 * @param complainedOf since when a driver's complaint about it waits to be worked up; null for none
 * @param tappedSince since when the tap that has hung longest feeds from its blocks; null for a battery without
 * @param shift how the batteries of its room have come to read differently together; null where they have not
 */
public record Surroundings(
        @Nullable Celsius battery,
        @Nullable Celsius room,
        List<OpenDefect> ofMachine,
        @Nullable String inHand,
        @Nullable String promisedTo,
        @Nullable Instant complainedOf,
        @Nullable Instant tappedSince,
        @Nullable SharedShift shift) {
    public static final Surroundings NOTHING = new Surroundings(null, null, List.of(), null, null);

    /** Of a battery that nobody complains of, without a tap, in a room that reads as it did. */
    public Surroundings(
            @Nullable Celsius battery,
            @Nullable Celsius room,
            List<OpenDefect> ofMachine,
            @Nullable String inHand,
            @Nullable String promisedTo) {
        this(battery, room, ofMachine, inHand, promisedTo, null, null, null);
    }

    /** The same in a room whose batteries have come to read differently together. */
    public Surroundings with(SharedShift ofRoom) {
        return new Surroundings(battery, room, ofMachine, inHand, promisedTo, complainedOf, tappedSince, ofRoom);
    }

    public Surroundings {
        ofMachine = List.copyOf(ofMachine);
    }
}
