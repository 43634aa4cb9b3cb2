package org.ostendum.app.notice;

import java.time.Instant;
import org.ostendum.core.alarm.Telling;

/**
 * How one person wants to be told.
 *
 * @param address of a mailbox, or of a program that is called
 * @param madeAt alarms that stood before it are not told
 */
record NoticeRule(long id, long personId, Way way, String address, Telling telling, Instant madeAt) {
    /** By which way. */
    enum Way {
        MAIL,
        WEBHOOK
    }
}
