package org.ostendum.app.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.defect.DefectKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;

/** A defect seen in passing, with its picture, from the report to everything that has to know it. */
class DefectReportTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Machines machines;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Defects defects;

    @Autowired
    private BatteryStates states;

    @Autowired
    private Photos photos;

    @Autowired
    private Rounds rounds;

    private AsPerson tom;
    private Battery battery;

    @BeforeEach
    void batteryAndPerson() {
        tom = AsPerson.tom(mvc);
        battery = own.rested("DR" + UUID.randomUUID().toString().substring(0, 5), "T-04");
    }

    private static MockMultipartFile picture(String name) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB), "png", out);
        return new MockMultipartFile("photo", name, "image/png", out.toByteArray());
    }

    private MockHttpServletResponse report(String kind, String remark, MockMultipartFile photo) throws Exception {
        return tom.ask(multipart("/batteries/" + battery.code() + "/defect")
                .file(photo)
                .param("kind", kind)
                .param("remark", remark));
    }

    @Test
    void oneTapReportsItAndEverythingKnows() throws Exception {
        assertThat(tom.page("/batteries/" + battery.code() + "/defect")).contains(DefectKind.DAMAGED_CASE.name());
        assertThat(report("DAMAGED_CASE", "lower left corner", picture("corner.png"))
                        .getRedirectedUrl())
                .isEqualTo("/batteries/" + battery.code());
        assertThat(states.stateOf(battery).defects()).singleElement().satisfies(open -> assertThat(open.kind())
                .isEqualTo(DefectKind.DAMAGED_CASE));
        Defects.Defect open = defects.openOf(battery.id(), null).get(0);
        List<Photos.PhotoName> kept = photos.of(new Photos.Of(Photos.Subject.DEFECT, open.id()));
        assertThat(kept).extracting(Photos.PhotoName::name).containsExactly("corner.png");
        assertThat(tom.page("/jobs"))
                .contains("lower left corner", "/photos/" + kept.get(0).id());
        assertThat(tom.page("/batteries/" + battery.code())).contains("lower left corner");
        report("DAMAGED_CASE", "again", picture("again.png"));
        assertThat(defects.openOf(battery.id(), null)).as("one is enough").hasSize(1);
    }

    /** Who keeps safety walks through the room too. */
    @Test
    void theSafetyOfficerReportsWhatHeSees() throws Exception {
        AsPerson.oskar(mvc)
                .ask(multipart("/batteries/" + battery.code() + "/defect")
                        .file(picture("vent.png"))
                        .param("kind", "BLOCKED_VENT"));
        assertThat(defects.openOf(battery.id(), null)).hasSize(1);
        assertThat(AsPerson.oskar(mvc).page("/batteries/" + battery.code())).contains("Report a defect");
    }

    @Test
    void whatIsNoKindOrTooLongIsRefusedWithTheRestKept() throws Exception {
        assertThat(report("SOMETHING", "at the plug", picture("plug.png")).getContentAsString())
                .contains("at the plug");
        MockHttpServletResponse longer = report("DIRTY_TOP", "x".repeat(401), picture("top.png"));
        assertThat(longer.getStatus()).isEqualTo(422);
        assertThat(defects.openOf(battery.id(), null)).isEmpty();
    }

    /** The worn plug is the truck's: it stays when the battery goes. */
    @Test
    void whatIsOfTheMachineStaysWithIt() throws Exception {
        long truck = machines.add(new Machine(
                0,
                "W" + battery.code().substring(2),
                "Test truck",
                MachineKind.FORKLIFT,
                null,
                null,
                null,
                "",
                null,
                null));
        batteries.place(battery.id(), null, truck);
        tom.ask(multipart("/batteries/" + battery.code() + "/defect")
                .file(new MockMultipartFile("photo", "", "application/octet-stream", new byte[0]))
                .param("kind", "WORN_PLUG")
                .param("remark", ""));
        assertThat(defects.openOf(battery.id(), null)).as("not the battery's").isEmpty();
        assertThat(defects.openOf(battery.id(), truck)).singleElement().satisfies(open -> assertThat(open.kind())
                .isEqualTo(DefectKind.WORN_PLUG));
    }

    @Test
    void aRoundHasItsPictures() throws Exception {
        battery = own.full("RP" + UUID.randomUUID().toString().substring(0, 5), "T-04");
        tom.send("/batteries/" + battery.code() + "/reading", "cell", "5", "gravity", "281", "state", "FULL_CHARGE");
        tom.ask(multipart("/batteries/" + battery.code() + "/round-photos").file(picture("brown cell.png")));
        long round = rounds.history(battery.id(), 1).get(0).id();
        assertThat(photos.of(new Photos.Of(Photos.Subject.ROUND, round))).hasSize(1);
        assertThat(photos.ofBattery(battery.id())).hasSize(1);
        assertThat(tom.page("/batteries/" + battery.code())).contains("alt=\"brown cell.png\"");
        MockMultipartFile broken = new MockMultipartFile("photo", "x.png", "image/png", new byte[] {1, 2, 3});
        tom.ask(multipart("/batteries/" + battery.code() + "/round-photos").file(broken));
        assertThat(photos.of(new Photos.Of(Photos.Subject.ROUND, round))).hasSize(1);
    }
}
