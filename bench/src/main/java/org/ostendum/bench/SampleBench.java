package org.ostendum.bench;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.Ostendum;
import org.ostendum.app.charge.SampleThinning;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.Thinning;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.ostendum.sim.RoomBattery;
import org.ostendum.sim.SimulatedCharger;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What devices have read of many batteries in a year of a charge a day, the last month of it whole: how much that is, what a
 * page costs with the year beside the month alone, and how long a day takes to thin.
 */
final class SampleBench {
    private static final int WHOLE_DAYS = 30;
    private static final int YEAR = 365;
    private static final int WARM_UP = 200;
    private static final int MEASURED = 300;
    private static final int CELLS = 20;
    private static final double CAPACITY = 700;
    private static final double TAKEN = 480;
    private static final String HASH = "0".repeat(64);

    private final int batteries;
    private final JdbcTemplate sql;
    private final SignedIn client;
    private final Random random = new Random(3);
    private final LocalDate today = LocalDate.now(ZoneOffset.UTC);

    private SampleBench(int batteries, JdbcTemplate sql, SignedIn client) {
        this.batteries = batteries;
        this.sql = sql;
        this.client = client;
    }

    static void run(int batteries) throws Exception {
        List<ChargeSample> whole = oneCharge();
        List<ChargeSample> thin = Thinning.fold(whole, SampleThinning.STRETCH);
        System.out.printf(
                "%none charge of %s: %d samples kept while it runs, %d a month later%n",
                Duration.between(whole.get(0).at(), whole.get(whole.size() - 1).at()), whole.size(), thin.size());
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Ostendum.class,
                "--server.port=0",
                "--ostendum.demo=false",
                "--ostendum.devices.listen=false",
                "--logging.level.root=error")) {
            JdbcTemplate sql = application.getBean(JdbcTemplate.class);
            SampleBench bench = new SampleBench(batteries, sql, SignedIn.lead(application));
            bench.addBatteries();
            bench.template("whole_charge", whole);
            bench.template("thin_charge", thin);

            bench.copy("whole_charge", 1, WHOLE_DAYS);
            bench.time("a month");
            bench.copy("thin_charge", WHOLE_DAYS + 1, YEAR);
            bench.time("a year");
            bench.foldADay(application.getBean(SampleThinning.class));
        }
    }

    /** As a charger and a tag tell it, every five seconds. */
    private static List<ChargeSample> oneCharge() {
        BatteryModel model = new BatteryModel(
                "B20",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(4, 5),
                AmpHours.of(CAPACITY),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
        SimulatedCharger charger = new SimulatedCharger(charger());
        RoomBattery battery = RoomBattery.of(model, TAKEN / CAPACITY, 1);
        charger.plug(battery);
        List<ChargeSample> kept = new ArrayList<>();
        @Nullable ChargeSample last = null;
        Duration tick = Duration.ofSeconds(5);
        for (Instant at = Instant.EPOCH; !charger.status().state().isLampLit(); at = at.plus(tick)) {
            charger.pass(tick);
            var status = charger.status();
            ChargeSample now = new ChargeSample(at, status.volts(), status.amperes(), battery.celsius());
            if (Thinning.isNews(last, now, CELLS, CAPACITY)) {
                kept.add(now);
                last = now;
            }
        }
        return kept;
    }

    private static ChargerSheet charger() {
        return new ChargerSheet(
                "X",
                ChargerKind.TAPER_WITH_FINISH,
                Set.of(CELLS),
                Set.of(CellKind.FLOODED),
                "",
                new Amperes(120),
                AmpHours.of(CAPACITY / 2),
                AmpHours.of(CAPACITY * 2),
                Volts.of(1.6),
                false);
    }

    private void addBatteries() {
        new ScratchSite(sql, Path.of("/tmp")).addModel();
        sql.update(
                "insert into battery (id, code, serial, model_id, in_service_on)"
                        + " select seq, concat('B-', seq), concat('S', seq), 1, ? from seq_1_to_" + batteries,
                today.minusYears(2));
        String line = "insert into ledger_entry (battery_id, seq, kind, happened_at, recorded_at, person_id, quantity,"
                + " payload, previous_hash, hash) select b.seq, (" + YEAR
                + " - d.seq) * 3 + %d, '%s', timestamp(?) - interval d.seq day"
                + " + interval %d hour, now(), 1, %s, '{}', '" + HASH + "', '" + HASH + "' from seq_1_to_" + batteries
                + " b, seq_1_to_" + YEAR + " d order by b.seq, d.seq desc";
        sql.update(String.format(line, 1, "DISCHARGE", 7, "480"), today);
        sql.update(String.format(line, 2, "CHARGE_START", 8, "null"), today);
        sql.update(String.format(line, 3, "CHARGE_END", 20, "560"), today);
    }

    private void template(String table, List<ChargeSample> samples) {
        sql.execute("create table " + table + " (seconds int primary key, mv int, da int, dc smallint)");
        sql.batchUpdate(
                "insert into " + table + " values (?, ?, ?, ?)",
                samples.stream().map(SampleBench::row).toList());
    }

    private static Object[] row(ChargeSample sample) {
        Celsius celsius = Objects.requireNonNull(sample.celsius());
        return new Object[] {
            sample.at().getEpochSecond(),
            sample.volts().millivolts(),
            Math.round(sample.amperes().amperes() * 10),
            celsius.tenths()
        };
    }

    /** The same charge on each of the days, counted back from today, of every battery. */
    private void copy(String template, int firstDay, int lastDay) {
        sql.update(
                "insert into charge_sample (battery_id, at, millivolts, amps_tenths, celsius_tenths)"
                        + " select b.seq, timestamp(?) - interval d.seq day + interval 8 hour + interval s.seconds second,"
                        + " s.mv, s.da, s.dc from seq_1_to_" + batteries + " b straight_join seq_" + firstDay + "_to_"
                        + lastDay + " d straight_join " + template + " s order by b.seq, d.seq desc, s.seconds",
                today);
        sql.execute("analyze table charge_sample, ledger_entry, battery");
    }

    private void time(String what) throws Exception {
        double[] milliseconds = new double[MEASURED];
        for (int i = -WARM_UP; i < MEASURED; i++) {
            String page = "/batteries/B-" + (1 + random.nextInt(batteries)) + "/charge";
            long start = System.nanoTime();
            HttpResponse<String> answer = client.get(page);
            if (answer.statusCode() != 200 || !answer.body().contains("<svg")) {
                throw new IllegalStateException(page + " answered " + answer.statusCode());
            }
            if (i >= 0) {
                milliseconds[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.sort(milliseconds);
        System.out.printf(
                "%-8s %,12d samples, %5d MiB: a charge with those before it p50 %.1f ms, p95 %.1f ms%n",
                what, count(), size(), milliseconds[MEASURED / 2], milliseconds[MEASURED * 95 / 100]);
    }

    /** The day that is a month old is whole; those before it have been thinned. */
    private void foldADay(SampleThinning thinning) {
        LocalDate due = today.minusDays(WHOLE_DAYS + 1);
        sql.update("delete from charge_sample where at >= ? and at < ?", due, due.plusDays(1));
        copy("whole_charge", WHOLE_DAYS + 1, WHOLE_DAYS + 1);
        sql.update("insert into charge_fold values (?)", due);
        long before = count();
        Instant start = Instant.now();
        thinning.fold();
        double seconds = Duration.between(start, Instant.now()).toMillis() / 1000.0;
        System.out.printf("one day thinned: %,d samples dropped in %.1f s%n", before - count(), seconds);
    }

    private long count() {
        return asked("select count(*) from charge_sample");
    }

    private long size() {
        return asked("select (data_length + index_length) div 1048576 from information_schema.tables"
                + " where table_schema = database() and table_name = 'charge_sample'");
    }

    private long asked(String query) {
        return Objects.requireNonNull(sql.queryForObject(query, Long.class));
    }
}
