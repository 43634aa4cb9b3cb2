package org.ostendum.core.life;

/** What is done about a bad block in an old pack. Practice {@code pack.map}. */
public enum BlockWay {
    /** A new block among the old ones. */
    ONE,
    /** All of them. */
    ALL,
    /** To another place, where only a tap has worn it. */
    MOVE
}
