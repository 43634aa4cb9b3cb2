package org.ostendum.core.rulebook;

/** How far a finding reaches, mildest first. */
public enum Severity {
    /** Nothing stands against use. */
    FIT,
    /** Use it, look again. */
    WATCH,
    /** Something has to be done. */
    ACT,
    /** Not to be charged, issued or used until it is done. */
    STOP;

    public Severity worse(Severity other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
