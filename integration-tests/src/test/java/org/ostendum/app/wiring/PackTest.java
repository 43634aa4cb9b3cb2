package org.ostendum.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.job.JobEvent;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.past.WorkCosts;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.recover.GoodBeside;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.School;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;

/** A pack of six blocks of 8 V taken apart and put together, as the job leads through it. */
class PackTest extends JobsTest {
    @Autowired
    private BatteryStates states;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Packs packs;

    @Autowired
    private WorkCosts costs;

    private String code;

    @BeforeEach
    void pack() {
        code = "PK-" + UUID.randomUUID().toString().substring(0, 6);
        own.full(code, "G-01");
    }

    private long begin(String procedure, School school) throws Exception {
        return begin(tom, code, procedure, "school", school.name(), "looked", "yes");
    }

    /** Answers the current step as right until the named one stands. */
    private void until(long job, String step) throws Exception {
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals(step)) {
            say(tom, job, "done", current.id(), right(current));
            Run now = run(job);
            assertThat(now.settled(current.id())).as(current.id()).isPresent();
            current = now.current().orElseThrow();
        }
    }

    private static String right(Step step) {
        if (step.id().startsWith("cable-") && step.rightAnswer().isEmpty()) {
            boolean goesOn = step.task() instanceof Task.Choose choose
                    && choose.answer("on").isPresent();
            return goesOn ? "on" : "sound";
        }
        return step.rightAnswer().orElse("10");
    }

    @ParameterizedTest
    @EnumSource(School.class)
    void everySchoolLeadsThroughAllCables(School school) throws Exception {
        long job = begin("pack-apart", school);
        until(job, "counted");
        List<String> cables = jobs.events(job).stream()
                .map(JobEvent::event)
                .filter(e -> e.kind() == RunEvent.Kind.DONE && e.about().startsWith("cable-"))
                .map(RunEvent::about)
                .toList();
        assertThat(cables).hasSize(7).doesNotHaveDuplicates();
        assertThat(cables.get(0)).isEqualTo(school == School.NEGATIVE_FIRST ? "cable-M-" : "cable-3");
        assertThat(tom.page("/jobs/" + job)).contains("cables off: 7");
    }

    @Test
    void whatIsStillLiveFallsWithEachCableAndWornOnesAreListed() throws Exception {
        long job = begin("pack-apart", School.MIDDLE_FIRST);
        until(job, "cable-3");
        assertThat(tom.page("/jobs/" + job))
                .contains("50.88", "a tool can bridge", "wire-now", "While you are at it a tool can bridge 50.9 V");
        say(tom, job, "done", "cable-3", "rotted");
        assertThat(tom.page("/jobs/" + job))
                .contains("25.44", "cables off: 1", "Cables to renew", "3 (block 3 − to block 4 +): rotted");
    }

    private void cable(String number, String price) throws Exception {
        tom.send(
                "/batteries/" + code + "/pack/cable",
                "number",
                number,
                "length",
                "",
                "lug",
                "M8",
                "remark",
                "",
                "price",
                price);
    }

    /** How each came off, which were renewed and what that cost stays with the pack. */
    @Test
    void theCableSetHasAHistoryWithItsCost() throws Exception {
        cable("3", "18.50");
        cable("5", "dear");
        cable("5", "21");
        long apart = begin("pack-apart", School.MIDDLE_FIRST);
        until(apart, "cable-3");
        say(tom, apart, "done", "cable-3", "rotted");
        assertThat(tom.page("/jobs/" + apart)).contains("Cables to renew", "New ones cost 18.50");
        until(apart, "tray");
        say(tom, apart, "done", "tray", "");
        tom.send("/jobs/" + apart + "/finish", "key", UUID.randomUUID().toString());
        assertThat(tom.page("/batteries/" + code + "/pack")).contains("history", "3: rotted");
        assertThat(packs.cableNotes(battery(code).id()).get("5").price()).isEqualByComparingTo("21");
    }

    /** The ledger keeps what the new cables cost, at the price of that day. */
    @Test
    void newCablesAreOnTheLineWithTheirCost() throws Exception {
        cable("3", "18.50");
        long job = begin("pack-together", School.NEGATIVE_FIRST);
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals("old")) {
            if (current.id().equals("volts")) {
                readAll(job);
            }
            say(tom, job, "done", current.id(), current.id().equals("cable-3") ? "new" : right(current));
            assertThat(run(job).settled(current.id())).as(current.id()).isPresent();
            current = run(job).current().orElseThrow();
        }
        say(tom, job, "done", "old", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        cable("3", "99");
        assertThat(Jsoup.parse(tom.page("/batteries/" + code + "/pack")).text()).contains("3: new 18.50");
        assertThat(costs.of(List.of(battery(code).id()))).singleElement().satisfies(cost -> {
            assertThat(cost.amount()).isEqualTo(18.5);
            assertThat(cost.cell()).isNull();
        });
    }

    private MockHttpServletResponse read(long job, int block, String volts) throws Exception {
        return tom.send(
                "/jobs/" + job + "/row",
                "key",
                UUID.randomUUID().toString(),
                "about",
                "volts",
                "block",
                String.valueOf(block),
                "volts",
                volts);
    }

    private void readAll(long job) throws Exception {
        for (int block = 1; block <= 6; block++) {
            read(job, block, "8.45");
        }
        read(job, 0, "50.7");
    }

    private String close(long job) throws Exception {
        return say(tom, job, "done", "volts", "").getContentAsString();
    }

    @Test
    void aBlockTurnedRoundIsFoundBeforeTheLastLink() throws Exception {
        long job = begin("pack-together", School.NEGATIVE_FIRST);
        until(job, "volts");
        assertThat(close(job)).contains("Read block 1");
        for (int block = 1; block <= 6; block++) {
            assertThat(read(job, block, block == 4 ? "-8.45" : "8.45").getStatus())
                    .isEqualTo(302);
        }
        assertThat(close(job)).contains("Block 4 reads -8.45 V: it is turned round");
        assertThat(read(job, 4, "8.45").getStatus()).isEqualTo(302);
        assertThat(close(job)).contains("Now read the string");
        read(job, 0, "33.8");
        assertThat(close(job)).contains("twice block 1 is missing");
        assertThat(read(job, 0, "500").getStatus()).isEqualTo(422);
        read(job, 0, "50.7");
        close(job);
        assertThat(run(job).settled("volts")).isPresent();
        until(job, "old");
        say(tom, job, "done", "old", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(run(job).status()).isEqualTo(Run.Status.FINISHED);
    }

    private static String drawing(String page) {
        return Objects.requireNonNull(Jsoup.parse(page).selectFirst("svg.drawing.pack"))
                .outerHtml();
    }

    /** What differs is changed for this machine and kept; its model and other cars stay as they are. */
    @Test
    void aBlockIsTurnedAndACableIsMeasuredForThisPackAlone() throws Exception {
        String mapAsModel = drawing(tom.page("/batteries/" + code + "/map"));
        String pageAsModel = drawing(tom.page("/batteries/" + code));
        tom.send("/batteries/" + code + "/pack/turn", "block", "4");
        tom.send(
                "/batteries/" + code + "/pack/cable",
                "number",
                "3",
                "length",
                "42",
                "lug",
                "M8",
                "remark",
                "sense lead");
        assertThat(tom.page("/batteries/" + code + "/pack"))
                .contains("Drawn as this pack stands", "42 cm M8 · sense lead");
        assertThat(packs.of(battery(code)).orElseThrow().layout())
                .isEqualTo(battery(code).type().model().layout().turned(4));
        assertThat(drawing(tom.page("/batteries/" + code + "/map")))
                .as("the electrical map is drawn as this pack stands")
                .isNotEqualTo(mapAsModel);
        assertThat(drawing(tom.page("/batteries/" + code)))
                .as("and so is its own page")
                .isNotEqualTo(pageAsModel);
        assertThat(tom.page("/batteries/G-01/pack")).doesNotContain("Drawn as this pack stands", "42 cm");
        MockHttpServletResponse refused = tom.send(
                "/batteries/" + code + "/pack/cable", "number", "3", "length", "five", "remark", "frayed at B-");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString()).contains("“five”", "frayed at B-");
        assertThat(tom.page("/batteries/" + code + "/pack")).contains("42 cm M8");
        tom.send("/batteries/" + code + "/pack/turn", "block", "4");
        assertThat(tom.page("/batteries/" + code + "/pack")).doesNotContain("Drawn as this pack stands");
    }

    /** One of its blocks is bad; the sums mark a way out, and who takes another says why. */
    @Test
    void theWayOutOfABadBlockIsKeptWithItsReason() throws Exception {
        String page = tom.page("/batteries/G-06/pack");
        assertThat(page).contains("Bad: block", "Keep the choice").doesNotContain("Chosen for block");
        String other = page.contains("✓ Renew it alone") ? "ALL" : "ONE";
        tom.send("/batteries/G-06/pack/bad-block", "way", other);
        assertThat(tom.page("/batteries/G-06/pack")).doesNotContain("Chosen for block");
        tom.send("/batteries/G-06/pack/bad-block", "way", other, "reason", "The car goes next year.");
        assertThat(tom.page("/batteries/G-06/pack"))
                .contains("Chosen for block", "The car goes next year.", "Tom Brackett");
        assertThat(tom.send("/batteries/G-01/pack/bad-block", "way", "ONE").getStatus())
                .isEqualTo(404);
        assertThat(tom.send("/batteries/G-06/pack/bad-block", "way", "BURN").getStatus())
                .isEqualTo(400);
    }

    /** What hangs beside the machine: every cable with its place, and what can be reached before and after it. */
    @Test
    void aSheetOfThePackHangsUp() throws Exception {
        byte[] pdf =
                tom.ask(get("/batteries/G-01/pack.pdf?school=MIDDLE_FIRST")).getContentAsByteArray();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document);
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(text)
                    .contains("G-01", "1. Cable 3", "can be reached", "Cables in the bag", "Before you touch a cable");
            assertThat(text.lines()
                            .filter(line -> line.matches("\\d+\\. Cable .*"))
                            .count())
                    .isGreaterThanOrEqualTo(7);
        }
        assertThat(tom.ask(get("/batteries/T-08/pack.pdf")).getStatus()).isEqualTo(404);
    }

    /** Switch, fuse, sense lead and shrouds are drawn, come off and go on in their turn, and change what can be bridged. */
    @Test
    void whatElseSitsOnAPackIsDrawnAndHasItsSteps() throws Exception {
        String page = "/batteries/" + code + "/pack";
        for (String fitting : List.of("MAIN_SWITCH M-", "FUSE 3", "SENSE_LEAD 1+", "SHROUD all", "MAIN_SWITCH M+")) {
            tom.send(page + "/fitting", "fitting", fitting);
        }
        assertThat(packs.of(battery(code)).orElseThrow().fittings())
                .hasSize(3 + 12)
                .contains(new Fitting(Fitting.Kind.MAIN_SWITCH, "M+"))
                .doesNotContain(new Fitting(Fitting.Kind.MAIN_SWITCH, "M-"));
        assertThat(tom.page(page)).contains("Main switch in cable M+", "class=\"shroud\"", "shroud off first", ">S1<");
        assertThat(tom.send(page + "/fitting", "fitting", "FUSE 99").getStatus())
                .isEqualTo(404);
        long job = begin("pack-apart", School.MIDDLE_FIRST);
        until(job, "main-switch");
        say(tom, job, "done", "main-switch", right(run(job).current().orElseThrow()));
        assertThat(tom.page("/jobs/" + job)).contains("Take the fuse out of cable 3");
        until(job, "cable-3");
        assertThat(tom.page("/jobs/" + job))
                .contains("Lift the shroud of block 3 − and block 4 + first.")
                .doesNotContain("50.88");
        tom.send(page + "/fitting-off", "fitting", "FUSE 3");
        assertThat(tom.page(page)).doesNotContain("Fuse in cable 3 </span>");
        assertThat(packs.of(battery(code)).orElseThrow().fittings()).hasSize(2 + 12);
    }

    /** Leads without end would take the search for an order without end. */
    @Test
    void noMoreLeadsAreDrawnThanCanBePutInOrder() throws Exception {
        String page = "/batteries/" + code + "/pack";
        for (int block = 1; block <= 6; block++) {
            tom.send(page + "/fitting", "fitting", "SENSE_LEAD " + block + "+");
            tom.send(page + "/fitting", "fitting", "SENSE_LEAD " + block + "-");
        }
        assertThat(packs.of(battery(code)).orElseThrow().cables()).hasSize(7 + 12);
        assertThat(tom.send(page + "/tap", "name", "horn", "first", "1", "last", "2")
                        .getContentAsString())
                .contains("No more than 19 cables");
        assertThat(tom.page(page)).contains("S12");
    }

    /** The switch goes on last, before the machine is tried. */
    @Test
    void thePackIsSwitchedOnWhenAllIsTight() throws Exception {
        tom.send("/batteries/" + code + "/pack/fitting", "fitting", "MAIN_SWITCH M-");
        tom.send("/batteries/" + code + "/pack/fitting", "fitting", "SHROUD 6-");
        long job = begin("pack-together", School.NEGATIVE_FIRST);
        List<String> steps = run(job).procedure().steps().stream().map(Step::id).toList();
        assertThat(steps.indexOf("main-switch"))
                .isGreaterThan(steps.indexOf("torque"))
                .isEqualTo(steps.indexOf("function") - 1);
        until(job, "volts");
        readAll(job);
        until(job, "cable-M-");
        assertThat(tom.page("/jobs/" + job)).contains("Then the shroud over block 6 −.");
    }

    @Test
    void aPackIsDrawnWithItsTapsAndATrayIsNot() throws Exception {
        assertThat(tom.page("/batteries/" + code + "/pack"))
                .contains("6 blocks, 50.88", "least voltage for the least time", "block 3 − to block 4 +");
        assertThat(tom.send("/batteries/" + code + "/pack/tap", "name", "lights", "first", "1", "last", "2")
                        .getStatus())
                .isEqualTo(302);
        assertThat(tom.page("/batteries/" + code + "/pack?way=together")).contains("lights: blocks 1 to 2", "T1+");
        assertThat(tom.send("/batteries/" + code + "/pack/tap", "name", "lights", "first", "1", "last", "2")
                        .getContentAsString())
                .contains("There is a tap named “lights” already");
        assertThat(tom.send("/batteries/" + code + "/pack/tap", "name", "horn", "first", "5", "last", "9")
                        .getStatus())
                .isEqualTo(422);
        tom.send("/batteries/" + code + "/pack/tap-off", "name", "lights");
        assertThat(tom.page("/batteries/" + code + "/pack")).doesNotContain("T1+");
        assertThat(tom.ask(get("/batteries/T-04/pack")).getStatus()).isEqualTo(404);
        assertThat(tom.page("/batteries/T-04/jobs")).doesNotContain("pack-apart");
    }

    /** A tray has no groups: a good one beside it is named, drawn, and nothing that is not full and free. */
    @Test
    void aFlatTrayIsWokenBesideAGoodBattery() throws Exception {
        Battery flat = batteries.byCode("T-05").orElseThrow();
        assertThat(states.stateOf(flat).isCharging()).isTrue();
        String page = tom.page("/batteries/T-05/wake");
        assertThat(page).contains("its charger has begun");
        assertThat(page)
                .contains("Beside a good battery", "Red on plus of the flat one")
                .doesNotContain("group by group");
        List<Battery> named = Pattern.compile("class=\"fig\" href=\"/batteries/([^\"]+)\"")
                .matcher(page)
                .results()
                .map(link -> batteries.byCode(link.group(1)).orElseThrow())
                .toList();
        assertThat(named).isNotEmpty().allMatch(good -> GoodBeside.suits(states.stateOf(flat), states.stateOf(good)));
        assertThat(tom.page("/batteries/T-05/jobs/recover")).contains("/batteries/T-05/wake");
    }

    /** Six blocks of 8 V and a charger of 12 V: two by two, added up against what its own charger begins at. */
    @Test
    void aFlatPackIsWokenInGroups() throws Exception {
        String address = "/batteries/" + code + "/wake";
        assertThat(tom.page(address)).contains("It is not flat: about 100 % left.");
        Battery pack = batteries.byCode(code).orElseThrow();
        BatteryEvent worked =
                new BatteryEvent.Worked(states.instant(), pack.type().model().capacity());
        record.record(pack, List.of(LedgerEvents.entry(worked, 1, "")));
        assertThat(tom.page("/batteries/" + code + "/pack")).contains(address);
        assertThat(tom.page(address))
                .contains("Group 1: blocks 1 to 2, 16 V", "Group 3: blocks 5 to 6", "3 groups, 90 minutes");
        assertThat(tom.page(address + "?charger=12&lockout=36&group1=13&group3=13&group5=12.5"))
                .contains("38.5 V: above the 36.0 V");
        assertThat(tom.page(address + "?charger=12&lockout=40&group1=13&group3=13&group5=12.5"))
                .contains("38.5 V: not above 40.0 V");
        assertThat(tom.page(address + "?charger=96")).contains("above the whole pack");
        assertThat(tom.page(address + "?charger=twelve"))
                .contains("twelve", "120")
                .doesNotContain("Group 1");
    }
}
