package org.ostendum.app.site;

import static org.ostendum.app.db.jooq.Tables.SITE;

import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.people.Language;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Repository;

/** The one site of this house. */
@Repository
public class Sites {
    private static final short ONE = 1;

    private final DSLContext sql;
    /** Asked on every page; every change of it goes through here. */
    private volatile @Nullable Site read;

    Sites(DSLContext sql) {
        this.sql = sql;
    }

    /** @return the site; one of which nobody has said anything while the database is away, for first aid is read then too */
    public Site site() {
        Site known = read;
        if (known != null) {
            return known;
        }
        try {
            known = read();
            read = known;
            return known;
        } catch (DataAccessException | org.jooq.exception.DataAccessException e) {
            return Site.UNNAMED;
        }
    }

    private Site read() {
        return sql.selectFrom(SITE)
                .where(SITE.ID.eq(ONE))
                .fetchOptional(r -> new Site(
                        r.getName(),
                        r.getCurrency(),
                        r.getZone(),
                        r.getFahrenheit(),
                        r.getUsMeasures(),
                        r.getHazards(),
                        r.getGuides(),
                        Language.valueOf(r.getLanguage())))
                .orElse(Site.UNNAMED);
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int version() {
        return sql.select(SITE.VERSION)
                .from(SITE)
                .where(SITE.ID.eq(ONE))
                .fetchOptional(SITE.VERSION)
                .orElse(0);
    }

    /**
     * @param seen version that was shown
     * @return whether it was kept: not where somebody else has changed it since
     */
    public boolean keep(Site site, @Nullable Integer seen) {
        sql.insertInto(SITE)
                .set(SITE.ID, ONE)
                .set(SITE.NAME, "")
                .set(SITE.CURRENCY, "")
                .set(SITE.ZONE, "")
                .set(SITE.FAHRENHEIT, false)
                .set(SITE.US_MEASURES, false)
                .set(SITE.HAZARDS, "")
                .set(SITE.GUIDES, "")
                .onDuplicateKeyIgnore()
                .execute();
        int kept = sql.update(SITE)
                .set(SITE.NAME, site.name())
                .set(SITE.CURRENCY, site.currency())
                .set(SITE.ZONE, site.zone())
                .set(SITE.FAHRENHEIT, site.fahrenheit())
                .set(SITE.US_MEASURES, site.usMeasures())
                .set(SITE.HAZARDS, site.hazards())
                .set(SITE.GUIDES, site.guides())
                .set(SITE.LANGUAGE, site.language().name())
                .set(SITE.VERSION, SITE.VERSION.plus(1))
                .where(SITE.ID.eq(ONE).and(SITE.VERSION.eq(seen)))
                .execute();
        read = null;
        return kept == 1;
    }
}
