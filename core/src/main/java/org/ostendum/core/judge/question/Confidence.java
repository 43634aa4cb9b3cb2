package org.ostendum.core.judge.question;

/**
 * How sure a finding is that no eye has seen: the part of such first calls that were true on simulated lives of many kinds of
 * sites, measured by {@code bench judge} on tuning seeds and rounded down ({@code docs/judgement.md}).
 */
final class Confidence {
    static final double SHORT = 0.95;
    static final double SULFATED_CELL = 0.97;
    static final double DILUTED = 0.96;
    static final double FALLEN = 0.96;
    static final double WEAK_AFTER_CHARGE = 0.92;
    static final double WEAK_AFTER_EQUALISE = 0.97;
    static final double THIRSTY_CELL = 0.86;
    static final double THIRSTY_CELL_STRONGER = 0.97;
    static final double TAP = 0.95;
    static final double UNEVEN = 0.97;
    static final double NOT_FULL = 0.97;
    static final double FALLING = 0.95;
    /** In its window still, with too little put back by few volts on charge or a step alone. */
    static final double FALLING_CHARGE = 0.8;

    static final double SULFATED = 0.92;
    static final double LAYERED = 0.92;
    static final double THIRSTY = 0.97;
    static final double WORN = 0.97;
    /** Too rare among the lives to be measured: one look at one round. */
    static final double HIGH = 0.6;

    private Confidence() {}
}
