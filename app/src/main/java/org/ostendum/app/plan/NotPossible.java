package org.ostendum.app.plan;

/** Why a job of the plan could not be done. */
enum NotPossible {
    CHARGER_DEAD,
    BATTERY_FAULT,
    NOT_THERE,
    NO_TIME
}
