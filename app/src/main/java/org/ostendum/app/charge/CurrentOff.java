package org.ostendum.app.charge;

/** Somebody has switched off and unplugged. */
public record CurrentOff(long batteryId, long chargerId) {}
