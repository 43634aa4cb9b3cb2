package org.ostendum.app.procedure;

import org.ostendum.core.next.NextThing;

/** A next thing and the page on which it is done. */
public record PlacedThing(NextThing thing, String page) {
    public static PlacedThing of(NextThing thing) {
        return new PlacedThing(thing, DoneAt.pageOrBattery(thing));
    }
}
