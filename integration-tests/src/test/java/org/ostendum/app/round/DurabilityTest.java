package org.ostendum.app.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import org.ostendum.app.support.MariaDbServer;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.measure.SheetEntry;
import org.ostendum.core.measure.SheetValue;
import org.ostendum.core.quantity.SpecificGravity;

class DurabilityTest {
    /** Values shown as kept outlive a database killed in the middle of the round. */
    @Test
    void whatWasKeptOutlivesAPowerCut() throws Exception {
        MariaDbServer server = new MariaDbServer(true);
        try {
            Flyway.configure()
                    .dataSource(server.url(), "ostendum", "ostendum")
                    .load()
                    .migrate();
            long roundId;
            try (Connection connection = DriverManager.getConnection(server.url(), "ostendum", "ostendum")) {
                roundId = takeSeventeenCells(DSL.using(connection, SQLDialect.MARIADB));
                server.kill();
            }
            server.start();
            try (Connection connection = DriverManager.getConnection(server.url(), "ostendum", "ostendum")) {
                OpenRounds rounds = new OpenRounds(DSL.using(connection, SQLDialect.MARIADB), Clock.systemUTC());
                OpenRound open = rounds.byId(roundId).orElseThrow();
                assertThat(open.sheet(18).cellsRead()).isEqualTo(17);
                assertThat(open.sheet(18).gravity(17)).isEqualTo(SpecificGravity.ofPoints(1217));
            }
        } finally {
            server.kill();
        }
    }

    private static long takeSeventeenCells(DSLContext sql) {
        sql.execute("insert into person (login, name, password_hash, role) values ('a', 'A', 'x', 'TECHNICIAN')");
        sql.execute("insert into battery_model (code, maker, kind, duty, cells_per_case, layout, cells, capacity_ah,"
                + " rate_hours, sg_empty, sg_recharge, sg_full_from, sg_full_to, level_mark_mm, level_words, weight_kg,"
                + " cable_side) values ('m', 'm', 'FLOODED', 'MOTIVE', 1, '1', 18, 1, 1, 1100, 1200, 1270, 1290, 1, 'w',"
                + " 1, 'LEFT')");
        sql.execute("insert into battery (code, serial, model_id, in_service_on) values ('T-1', 's', 1, '2026-01-01')");
        OpenRounds rounds = new OpenRounds(sql, Clock.systemUTC());
        rounds.begin(1, 1, RoundState.FULL_CHARGE, null);
        long roundId = rounds.of(1).orElseThrow().id();
        for (int cell : List.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17)) {
            rounds.keep(
                    roundId,
                    UUID.randomUUID().toString(),
                    SheetEntry.of(cell, new SheetValue.Gravity(SpecificGravity.ofPoints(1200 + cell))),
                    1);
        }
        return roundId;
    }
}
