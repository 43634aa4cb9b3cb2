package org.ostendum.web.devices;

/** Somebody has switched off and unplugged. */
public record CurrentOff(long batteryId, long chargerId) {}
