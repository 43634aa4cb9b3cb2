package org.ostendum.app.fleetfile;

import static org.ostendum.app.db.jooq.Tables.AWAITED;

import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** What files have named and nobody has brought yet: it is joined once it is there. */
@Repository
class Awaited {
    private final DSLContext sql;

    Awaited(DSLContext sql) {
        this.sql = sql;
    }

    /** What is awaited, and by what. */
    enum What {
        /** A charger, by the place over which it hangs. */
        CHARGER,
        /** A machine, by the charger on board of it. */
        MACHINE,
        /** A person, by the battery that he waters. */
        OWNER
    }

    void add(What what, String holder, String named) {
        sql.insertInto(AWAITED)
                .set(AWAITED.WHAT, what.name())
                .set(AWAITED.HOLDER, holder)
                .set(AWAITED.NAMED, named)
                .onDuplicateKeyUpdate()
                .set(AWAITED.NAMED, named)
                .execute();
    }

    void forget(What what, String holder) {
        sql.deleteFrom(AWAITED)
                .where(AWAITED.WHAT.eq(what.name()).and(AWAITED.HOLDER.eq(holder)))
                .execute();
    }

    /** @return what each holder has named */
    Map<String, String> of(What what) {
        return sql.selectFrom(AWAITED)
                .where(AWAITED.WHAT.eq(what.name()))
                .orderBy(AWAITED.HOLDER)
                .fetchMap(AWAITED.HOLDER, AWAITED.NAMED);
    }

    /** @return those who have named it */
    List<String> holders(What what, String named) {
        return sql.select(AWAITED.HOLDER)
                .from(AWAITED)
                .where(AWAITED.WHAT.eq(what.name()).and(AWAITED.NAMED.eq(named)))
                .fetch(AWAITED.HOLDER);
    }
}
