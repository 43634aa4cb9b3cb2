package org.ostendum.app.ledger;

/**
 * The last line of a battery's chain.
 *
 * @param code of the battery
 * @param seq of the line
 */
public record ChainHead(String code, long batteryId, int seq, String hash) {}
