package org.ostendum.app.watering;

import static org.ostendum.app.db.jooq.Tables.WATER_ANALYSIS;

import java.math.BigDecimal;
import java.util.Optional;
import org.jooq.DSLContext;
import org.ostendum.core.water.WaterQuality.Analysis;
import org.springframework.stereotype.Repository;

/** Analyses of the tap's water that the site has had made. */
@Repository
public class WaterAnalyses {
    private final DSLContext sql;

    WaterAnalyses(DSLContext sql) {
        this.sql = sql;
    }

    public Optional<Analysis> newest() {
        return sql.selectFrom(WATER_ANALYSIS)
                .orderBy(WATER_ANALYSIS.AT.desc(), WATER_ANALYSIS.ID.desc())
                .limit(1)
                .fetchOptional(r -> new Analysis(
                        r.getAt(),
                        r.getChloride().doubleValue(),
                        r.getIron().doubleValue(),
                        r.getResidue().doubleValue()));
    }

    public void add(Analysis analysis, long personId) {
        sql.insertInto(WATER_ANALYSIS)
                .set(WATER_ANALYSIS.AT, analysis.at())
                .set(WATER_ANALYSIS.CHLORIDE, BigDecimal.valueOf(analysis.chloride()))
                .set(WATER_ANALYSIS.IRON, BigDecimal.valueOf(analysis.iron()))
                .set(WATER_ANALYSIS.RESIDUE, BigDecimal.valueOf(analysis.residue()))
                .set(WATER_ANALYSIS.PERSON_ID, personId)
                .execute();
    }
}
