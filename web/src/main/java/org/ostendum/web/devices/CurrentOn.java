package org.ostendum.web.devices;

import org.ostendum.web.store.ChargeRun;

/** Somebody has plugged a battery in and switched on. */
public record CurrentOn(ChargeRun run) {}
