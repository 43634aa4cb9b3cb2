package org.ostendum.app.charge;

/** Somebody has plugged a battery in and switched on. */
public record CurrentOn(ChargeRun run) {}
