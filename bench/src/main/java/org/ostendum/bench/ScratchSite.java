package org.ostendum.bench;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Objects;
import java.util.Random;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Fills a scratch database with batteries that have ten years of weekly rounds, through the database's own bulk load. The
 * ledger's hashes are only of the right length: pages show lines, they do not follow the chain.
 */
final class ScratchSite {
    static final int WEEKS = 520;
    static final int BATTERIES_PER_ROOM = 50;
    private static final int CHUNK = 50;
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss");
    private static final String HASH = "0".repeat(64);

    private final JdbcTemplate sql;
    private final Path folder;
    private final LocalDateTime firstRound;
    private int batteries;

    ScratchSite(JdbcTemplate sql, Path folder) {
        this.sql = sql;
        this.folder = folder;
        this.firstRound = LocalDateTime.now(ZoneOffset.UTC)
                .minusWeeks(WEEKS)
                .withHour(20)
                .withMinute(0)
                .withSecond(0);
        this.batteries = Objects.requireNonNull(sql.queryForObject("select count(*) from battery", Integer.class));
    }

    void addModel() {
        sql.update(
                "insert ignore into battery_model (code, maker, kind, duty, cells_per_case, layout, cells, capacity_ah,"
                        + " rate_hours, sg_empty, sg_recharge, sg_full_from, sg_full_to, level_mark_mm, level_words, weight_kg,"
                        + " cable_side) values ('B20', 'Bench', 'FLOODED', 'MOTIVE', 1,"
                        + " '1 2 3 4 5/10 9 8 7 6/11 12 13 14 15/20 19 18 17 16', 20, 700, 6, 1140, 1180, 1275, 1295, 12,"
                        + " 'to the ring', 900, 'LEFT')");
    }

    /** Adds batteries until there are so many; those of a run before are taken as they are. */
    void growTo(int wanted) throws IOException {
        while (batteries < wanted) {
            addChunk(batteries + 1, Math.min(CHUNK, wanted - batteries));
            batteries = Math.min(wanted, batteries + CHUNK);
        }
        sql.execute("analyze table battery, round, cell_reading, ledger_entry");
    }

    private void addChunk(int first, int count) throws IOException {
        StringBuilder batteryRows = new StringBuilder();
        StringBuilder rounds = new StringBuilder();
        StringBuilder readings = new StringBuilder();
        StringBuilder ledger = new StringBuilder();
        for (int battery = first; battery < first + count; battery++) {
            long slot = slot(battery);
            batteryRows.append(row(battery, "B-" + battery, "S" + battery, 1, "2015-01-01", slot));
            addLife(battery, rounds, readings, ledger);
        }
        load("battery", "id,code,serial,model_id,in_service_on,slot_id", batteryRows);
        load(
                "ledger_entry",
                "id,battery_id,seq,kind,happened_at,recorded_at,person_id,quantity,payload,previous_hash,hash",
                ledger);
        load(
                "round",
                "id,battery_id,opened_at,opened_by,state,coverage,taken_at,temperature_tenths,ledger_entry_id",
                rounds);
        load("cell_reading", "battery_id,round_id,cell,revision,sg_points,too_low,confirmed,on_charge", readings);
    }

    private long slot(int battery) {
        int room = (battery - 1) / BATTERIES_PER_ROOM + 1;
        int place = (battery - 1) % BATTERIES_PER_ROOM + 1;
        if (place == 1) {
            sql.update(
                    "insert into room (id, code, name, width_cm, depth_cm) values (?, ?, ?, 2600, 2000)",
                    room,
                    "r" + room,
                    "Room " + room);
            for (int stand = 1; stand <= 5; stand++) {
                sql.update(
                        "insert into stand (id, room_id, code, name, kind, x_cm, y_cm, width_cm, depth_cm)"
                                + " values (?, ?, ?, ?, 'STAND', 40, ?, 2500, 300)",
                        (room - 1) * 5 + stand,
                        room,
                        "s" + stand,
                        "Stand " + stand,
                        350 * (stand - 1) + 30);
            }
        }
        long slotId = battery;
        sql.update(
                "insert into slot (id, stand_id, number, code) values (?, ?, ?, ?)",
                slotId,
                (room - 1) * 5 + (place - 1) / 10 + 1,
                (place - 1) % 10 + 1,
                "Place " + slotId);
        return slotId;
    }

    private void addLife(int battery, StringBuilder rounds, StringBuilder readings, StringBuilder ledger) {
        Random random = new Random(battery);
        for (int week = 0; week < WEEKS; week++) {
            long round = (long) (battery - 1) * WEEKS + week + 1;
            String at = firstRound.plusWeeks(week).format(STAMP);
            String chargedAt = firstRound.plusWeeks(week).minusHours(4).format(STAMP);
            long entry = round * 2;
            StringBuilder cells = new StringBuilder();
            for (int cell = 1; cell <= 20; cell++) {
                int points = 1284 + (int) Math.round(random.nextGaussian() * 3);
                readings.append(row(battery, round, cell, 0, points, 0, 0, 0));
                cells.append(cell == 1 ? "" : ",")
                        .append("{\"cell\":")
                        .append(cell)
                        .append(",\"sg\":")
                        .append(points)
                        .append('}');
            }
            String payload = "{\"state\":\"FULL_CHARGE\",\"celsiusTenths\":240,\"cells\":[" + cells
                    + "],\"coverage\":\"WHOLE\",\"verdict\":{\"severity\":\"FIT\",\"sentence\":{\"key\":\"verdict.nothing-seen\"}}}";
            ledger.append(row(
                    entry - 1, battery, week * 2 + 1, "CHARGE_END", chargedAt, chargedAt, 1, 480, "{}", HASH, HASH));
            ledger.append(row(entry, battery, week * 2 + 2, "ROUND", at, at, 1, 20, payload, HASH, HASH));
            rounds.append(row(round, battery, at, 1, "FULL_CHARGE", "WHOLE", at, 240, entry));
        }
    }

    private static String row(Object... values) {
        StringBuilder row = new StringBuilder();
        for (Object value : values) {
            row.append(row.isEmpty() ? "" : "\t").append(value);
        }
        return row.append('\n').toString();
    }

    private void load(String table, String columns, StringBuilder rows) throws IOException {
        Path file = folder.resolve(table + ".tsv");
        try (Writer writer = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
            writer.append(rows);
        }
        sql.execute((java.sql.Connection connection) -> {
            try (var statement = connection.createStatement()) {
                statement.execute("set session foreign_key_checks = 0, unique_checks = 0");
                statement.execute("load data local infile '" + file + "' into table " + table + " (" + columns + ")");
                statement.execute("set session foreign_key_checks = 1, unique_checks = 1");
            }
            return null;
        });
        Files.delete(file);
    }

    int batteries() {
        return batteries;
    }

    int rooms() {
        return (batteries - 1) / BATTERIES_PER_ROOM + 1;
    }
}
