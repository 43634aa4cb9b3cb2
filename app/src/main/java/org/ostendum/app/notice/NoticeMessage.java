package org.ostendum.app.notice;

import java.time.Instant;

/**
 * What is told.
 *
 * @param kind the alarm's, or "trial"
 * @param about code of the charger, battery or room
 * @param sentence the alarm in the words of the reader
 */
record NoticeMessage(String kind, String severity, String about, String sentence, Instant raisedAt, String subject) {}
