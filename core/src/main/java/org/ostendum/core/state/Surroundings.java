package org.ostendum.core.state;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;

/**
 * What is known at this moment without being an event of the battery: what its tag and the room's sensor measure, what is wrong
 * with the machine it is in.
 *
 * @param battery its electrolyte as a tag measures it; null where none does
 * @param room null likewise
 * @param ofMachine open defects of the machine it is in
 */
public record Surroundings(@Nullable Celsius battery, @Nullable Celsius room, List<OpenDefect> ofMachine) {
    public static final Surroundings NOTHING = new Surroundings(null, null, List.of());

    public Surroundings {
        ofMachine = List.copyOf(ofMachine);
    }
}
