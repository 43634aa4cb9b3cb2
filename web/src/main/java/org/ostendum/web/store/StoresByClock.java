package org.ostendum.web.store;

import java.time.Clock;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Makes stores that write by another clock than the application's, for a past that is written down afterwards. */
@Component
public class StoresByClock {
    private final DSLContext sql;

    StoresByClock(DSLContext sql) {
        this.sql = sql;
    }

    public Ledger ledger(Clock clock) {
        return new Ledger(sql, clock);
    }

    public Rounds rounds(Clock clock) {
        return new Rounds(sql, clock);
    }
}
