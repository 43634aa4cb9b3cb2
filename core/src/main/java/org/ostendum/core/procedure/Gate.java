package org.ostendum.core.procedure;

/** One thing that must hold before a job is begun. Pure: the same situation gets the same answer. */
interface Gate {
    GateOutcome ask(Situation situation);
}
