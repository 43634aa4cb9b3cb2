package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.app.db.jooq.Tables.BATTERY_MODEL;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ostendum.app.change.LiftMeasures.All;
import org.ostendum.app.change.LiftMeasures.Hoist;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.safety.Stations;
import org.ostendum.core.change.Beam;
import org.ostendum.core.safety.StationCheck;
import org.springframework.beans.factory.annotation.Autowired;

/** What was measured for changing: beams, eyes, rollers, sizes; and what follows from it in a change. */
class LiftTest extends AtTheTruck {
    @Autowired
    private LiftMeasures measures;

    @Autowired
    private Stations stations;

    @Autowired
    private Situations situations;

    /** Measured once, a battery that does not go into the bay is not offered, and the sheet refuses what is no size. */
    @Test
    void whatDoesNotGoIntoTheBaySaysSo() throws Exception {
        LiftMeasures.All before = measures.all();
        String size = "size-" + fresh.type().id();
        String bay = "bay-" + truck.id();
        String seen = LiftSheet.seen(LiftSheet.standing(before));
        assertThat(maud.send("/setup/changing", "seen", seen, size, "wide", bay, "830 x 630 x 620")
                        .getContentAsString())
                .contains("“wide” is no size", "830 x 630 x 620");
        maud.send("/setup/changing", "seen", seen, size, "980 x 630 x 620", bay, "830x630x620");
        try {
            assertThat(tom.page("/machines/" + truck.code()))
                    .contains("measures 980 × 630 × 620 mm; the bay of " + truck.code() + " has room for 830 × 630");
            assertThat(maud.page("/setup/changing")).contains("980 × 630 × 620");
        } finally {
            measures.keep(before);
        }
    }

    private static final Hoist LIGHT_HOIST = new Hoist(new Beam(150, 40, 14, 600), 300);

    private long changer(String name) {
        return stations.add(situations.roomOf(fresh), StationCheck.CHANGER, name);
    }

    private void measured(Map<Long, Hoist> hoists, Map<Long, Integer> eyes, Map<Long, Integer> trucks) {
        measures.keep(new All(hoists, eyes, trucks, Map.of(), Map.of(), Map.of()));
    }

    /** The eyes are asked once, at the battery, and drawn from then on for all of its model. */
    @Test
    void theBeamIsDrawnOverTheVeryBattery() throws Exception {
        long hoist = changer("Hoist " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(hoist, new Hoist(LIGHT_HOIST.beam(), null)), Map.of(), Map.of());
        try {
            long job = begin(fresh);
            until(job, "which-changer", "hoist");
            say(tom, job, "done", "which-changer", String.valueOf(hoist));
            until(job, "hooks", "hoist");
            assertThat(tom.page("/jobs/" + job))
                    .contains("How far apart are the eyes")
                    .doesNotContain("notch 7");
            String eyes = "/batteries/" + fresh.code() + "/eyes";
            tom.send(eyes, "job", String.valueOf(job), "eyes", "7");
            assertThat(measures.eyes(fresh.type().id())).as("7 mm").isEmpty();
            tom.send(eyes, "job", String.valueOf(job), "eyes", "780");
            assertThat(tom.page("/jobs/" + job))
                    .contains("notch 7 on each side")
                    .doesNotContain("How far apart");
            measures.keepEyes(fresh.type().id(), 2500);
            assertThat(tom.page("/jobs/" + job))
                    .contains("No notch of this beam comes near")
                    .doesNotContain("notch 14");
        } finally {
            measures.keep(before);
        }
    }

    @Test
    void noBeamLiftsMoreThanIsStampedOnIt() throws Exception {
        long hoist = changer("Light hoist " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(hoist, LIGHT_HOIST), Map.of(), Map.of());
        try {
            long job = begin(fresh);
            until(job, "which-changer", "hoist");
            assertThat(say(tom, job, "done", "which-changer", String.valueOf(hoist))
                            .getContentAsString())
                    .contains("300 kg at most");
            assertThat(run(job).settled("which-changer")).isEmpty();
        } finally {
            measures.keep(before);
        }
    }

    /** What comes out may be of another model: with other eyes, and heavier. */
    @Test
    void bothBatteriesAreLiftedByTheBeam() throws Exception {
        Battery heavier = own.rested("H" + tag, "T-14");
        batteries.place(old.id(), null, null);
        batteries.place(heavier.id(), null, truck.id());
        batteries.place(old.id(), heavier.slotId(), null);
        int between = (fresh.type().weightKg() + heavier.type().weightKg()) / 2;
        assertThat(heavier.type().weightKg()).isGreaterThan(fresh.type().weightKg());
        long light = changer("Light " + tag);
        long strong = changer("Strong " + tag);
        LiftMeasures.All before = measures.all();
        measured(
                Map.of(light, new Hoist(LIGHT_HOIST.beam(), between), strong, new Hoist(LIGHT_HOIST.beam(), 3000)),
                Map.of(fresh.type().id(), 780, heavier.type().id(), 860),
                Map.of());
        try {
            long job = begin(fresh);
            until(job, "which-changer", "hoist");
            assertThat(say(tom, job, "done", "which-changer", String.valueOf(light))
                            .getContentAsString())
                    .contains(heavier.code() + " weighs");
            say(tom, job, "done", "which-changer", String.valueOf(strong));
            until(job, "hooks", "hoist");
            assertThat(tom.page("/jobs/" + job))
                    .contains("notch 7 on each side", "notch 8 on each side", heavier.code() + ",");
        } finally {
            measures.keep(before);
        }
    }

    @Test
    void theRollerBedIsDrawnAtTheHeightOfTheTruck() throws Exception {
        changer("Bed " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(), Map.of(), Map.of(truck.id(), 610));
        try {
            long job = begin(fresh);
            until(job, "bed", "roller");
            assertThat(tom.page("/jobs/" + job)).contains("take at 600 mm", "give at 620 mm");
        } finally {
            measures.keep(before);
        }
    }

    @Test
    void measuresAreKeptTogetherOrNotAtAll() throws Exception {
        long hoist = changer("Beam " + tag);
        LiftMeasures.All before = measures.all();
        try {
            String half = maud.send("/setup/changing", "first-" + hoist, "150", "step-" + hoist, "4")
                    .getContentAsString();
            assertThat(half).contains("150", "10", "500");
            assertThat(measures.all()).isEqualTo(before);
            String eyes = "eyes-" + fresh.type().id();
            String seen = LiftSheet.seen(LiftSheet.standing(measures.all()));
            maud.send(
                    "/setup/changing",
                    "seen",
                    seen,
                    "first-" + hoist,
                    "150",
                    "step-" + hoist,
                    "40",
                    "notches-" + hoist,
                    "14",
                    "chain-" + hoist,
                    "600",
                    eyes,
                    "780",
                    "machine-" + truck.id(),
                    "610");
            assertThat(measures.hoist(hoist)).contains(new Hoist(LIGHT_HOIST.beam(), null));
            assertThat(measures.eyes(fresh.type().id())).contains(780);
            assertThat(maud.page("/setup/changing")).contains("value=\"780\"", "value=\"610\"");
            assertThat(maud.send("/setup/changing", "seen", seen, eyes, "640").getContentAsString())
                    .as("somebody has measured it meanwhile")
                    .contains("value=\"640\"", "780");
            assertThat(measures.eyes(fresh.type().id())).contains(780);
        } finally {
            measures.keep(before);
        }
    }

    /** What nobody has weighed is lifted by no beam with a limit. */
    @Test
    void noBeamWithALimitLiftsWhatNobodyHasWeighed() throws Exception {
        long hoist = changer("Hoist of 3 t " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(hoist, new Hoist(LIGHT_HOIST.beam(), 3000)), Map.of(), Map.of());
        long job = begin(fresh);
        until(job, "which-changer", "hoist");
        int weight = fresh.type().weightKg();
        weigh(0);
        try {
            assertThat(say(tom, job, "done", "which-changer", String.valueOf(hoist))
                            .getContentAsString())
                    .contains("what " + fresh.code() + " weighs is not on record");
            assertThat(run(job).settled("which-changer")).isEmpty();
        } finally {
            weigh(weight);
            measures.keep(before);
        }
    }

    private void weigh(int kilograms) {
        sql.update(BATTERY_MODEL)
                .set(BATTERY_MODEL.WEIGHT_KG, (short) kilograms)
                .where(BATTERY_MODEL.ID.eq(fresh.type().id()))
                .execute();
    }
}
