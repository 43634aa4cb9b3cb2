package org.ostendum.core.measure;

/** What is known of a yes-or-no matter. Not known is an answer of its own and never counts as yes. */
public enum Answer {
    YES,
    NO,
    UNKNOWN;

    public static Answer of(boolean yes) {
        return yes ? YES : NO;
    }

    public boolean isYes() {
        return this == YES;
    }

    public boolean isNo() {
        return this == NO;
    }
}
