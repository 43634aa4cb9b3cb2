package org.ostendum.app.incident;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.StringReader;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.defect.DefectKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;

/** An incident that was no spill, from the first word to everybody who has to know it. */
class IncidentTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private Incidents incidents;

    @Autowired
    private Defects defects;

    @Autowired
    private AlarmService alarms;

    @Autowired
    private Photos photos;

    private AsPerson tom;
    private AsPerson maud;
    private Battery battery;

    @BeforeEach
    void batteryAndPeople() {
        tom = AsPerson.tom(mvc);
        maud = AsPerson.maud(mvc);
        battery = own.rested("IC" + UUID.randomUUID().toString().substring(0, 5), "T-04");
    }

    /** What rings would stand on the pages of the next test. */
    @AfterEach
    void silence() {
        alarms.open().forEach(a -> alarms.settle(a.kind(), a.about(), 1));
    }

    private String[] arc(String... more) {
        return Stream.concat(
                        Stream.of(
                                "kind",
                                "CURRENT",
                                "at",
                                "20 min ago",
                                "place",
                                "stand C",
                                "battery",
                                battery.code(),
                                "hurt",
                                "1",
                                "what",
                                "A spanner lay across two posts"),
                        Stream.of(more))
                .toArray(String[]::new);
    }

    private String reported(String... fields) throws Exception {
        MockHttpServletResponse answer = tom.sendParts("/incidents", List.of(), fields);
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(302);
        return String.valueOf(answer.getRedirectedUrl());
    }

    @Test
    void whoWasHurtWasHelpedAndThatIsAskedFor() throws Exception {
        MockHttpServletResponse answer = tom.sendParts("/incidents", List.of(), arc());
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString())
                .contains("say what was done for him", "A spanner lay across two posts", "20 min ago");
    }

    @Test
    void isInTheLedgerAndRingsUntilALeadHasClosedIt() throws Exception {
        String path = reported(arc("helped", "Hand cooled, then to the doctor"));
        assertThat(tom.page("/batteries/" + battery.code() + "/ledger")).contains("A spanner lay across two posts");
        assertThat(tom.page("/jobs")).contains("A spanner lay across two posts");
        assertThat(tom.page("/day")).contains("Short, arc or shock, stand C");
        assertThat(tom.page("/alarms")).contains("One person was hurt", path);
        assertThat(tom.page(path)).contains("Report a defect");
        maud.sendParts(path, List.of(), arc("helped", "Hand cooled", "version", "0", "cause", "tool not insulated"));
        assertThat(maud.send(path + "/review", "review", "agreed", "version", "1")
                        .getContentAsString())
                .contains("Still to be written: What was done about it, What keeps it from happening again.");
        String[] learned = arc(
                "helped",
                "Hand cooled",
                "version",
                "1",
                "cause",
                "c",
                "corrective",
                "d",
                "prevention",
                "insulated tools");
        maud.sendParts(path, List.of(), learned);
        maud.send(path + "/review", "review", "tools bought", "version", "2");
        assertThat(tom.page(path)).contains("Closed by Maud Ferrow", "tools bought", "one person was hurt");
        String id = path.substring(path.lastIndexOf('/') + 1);
        assertThat(alarms.open())
                .noneMatch(a -> a.kind() == AlarmKind.INCIDENT && a.about().equals(id) && a.stands());
    }

    @Test
    void aBatteryThatMayBeBrokenIsKeptBackUntilItWasLookedOver() throws Exception {
        String path = reported(arc("helped", "cooled"));
        assertThat(tom.page(path)).contains(battery.code() + " is neither charged nor sent to work");
        assertThat(tom.page("/batteries/" + battery.code())).contains("After an incident: look it over");
        assertThat(tom.send("/batteries/" + battery.code() + "/jobs/charge").getContentAsString())
                .contains("A gate is shut", "After an incident: look it over");
        tom.send("/defects/" + keptBack(battery).id() + "/right", "remark", "posts, case and cells are sound");
        assertThat(tom.page(path)).contains("Is " + battery.code() + " still sound?");
        assertThat(tom.page("/batteries/" + battery.code() + "/ledger")).contains("posts, case and cells are sound");
        assertThat(defects.openOf(battery.id(), null)).isEmpty();
    }

    @Test
    void aReportWrittenAnewKeepsBackOnlyWhatItNamesAnew() throws Exception {
        String path = reported(arc("helped", "cooled"));
        tom.send("/defects/" + keptBack(battery).id() + "/right", "remark", "sound");
        tom.sendParts(path, List.of(), arc("helped", "cooled", "version", "0", "cause", "haste"));
        assertThat(defects.openOf(battery.id(), null))
                .as("it was looked over since")
                .isEmpty();
        Battery other = own.rested("IC" + UUID.randomUUID().toString().substring(0, 5), "T-04");
        String[] fields = arc("helped", "cooled", "version", "1");
        fields[7] = other.code();
        tom.sendParts(path, List.of(), fields);
        assertThat(keptBack(other).remark()).contains("A spanner lay across two posts");
    }

    @Test
    void gasInTheRoomBreaksNoBattery() throws Exception {
        String[] fields = arc("helped", "brought into fresh air");
        fields[1] = "GAS";
        assertThat(tom.page(reported(fields))).contains("Is " + battery.code() + " still sound?");
        assertThat(defects.openOf(battery.id(), null)).isEmpty();
    }

    private Defects.Defect keptBack(Battery kept) {
        return defects.openOf(kept.id(), null).stream()
                .filter(found -> found.kind() == DefectKind.AFTER_INCIDENT)
                .findFirst()
                .orElseThrow();
    }

    /** It stands on every page until it is closed. */
    @Test
    void theAlarmOfALongStoryIsShort() throws Exception {
        String[] fields = arc("helped", "cooled");
        fields[fields.length - 3] = "It began in the morning. ".repeat(30);
        String path = reported(fields);
        assertThat(tom.page("/alarms"))
                .contains("It began in the morning. ".repeat(4))
                .doesNotContain("It began in the morning. ".repeat(6));
        assertThat(tom.page(path)).contains("It began in the morning. ".repeat(8));
    }

    @Test
    void twoWhoWriteAtOnceAreToldOfEachOther() throws Exception {
        String path = reported(arc("helped", "cooled"));
        tom.sendParts(path, List.of(), arc("helped", "cooled", "version", "0", "cause", "wet floor"));
        MockHttpServletResponse second =
                maud.sendParts(path, List.of(), arc("helped", "cooled", "version", "0", "cause", "haste"));
        assertThat(second.getStatus()).isEqualTo(422);
        assertThat(second.getContentAsString()).contains("haste", "Somebody else", "wet floor");
        assertThat(incidents.all())
                .filteredOn(i -> path.endsWith("/" + i.id()))
                .singleElement()
                .satisfies(i -> assertThat(i.lesson().cause()).isEqualTo("wet floor"));
    }

    @Test
    void aReviewOfWhatWasRewrittenSinceIsNotTaken() throws Exception {
        String path = reported(arc("helped", "cooled", "cause", "c", "corrective", "d", "prevention", "p"));
        tom.sendParts(
                path,
                List.of(),
                arc("helped", "cooled", "version", "0", "cause", "other", "corrective", "d", "prevention", "p"));
        assertThat(maud.send(path + "/review", "review", "agreed", "version", "0")
                        .getContentAsString())
                .contains("Somebody has written in it since you read it");
    }

    @Test
    void aFormSentTwiceIsOneReport() throws Exception {
        String key = UUID.randomUUID().toString();
        String path = reported(arc("helped", "cooled", "key", key));
        assertThat(reported(arc("helped", "cooled", "key", key))).isEqualTo(path);
    }

    @Test
    void picturesGoWithIt() throws Exception {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB), "png", png);
        MockMultipartFile picture = new MockMultipartFile("photo", "burn.png", "image/png", png.toByteArray());
        String path = String.valueOf(tom.sendParts("/incidents", List.of(picture), arc("helped", "cooled"))
                .getRedirectedUrl());
        long id = Long.parseLong(path.substring("/incidents/".length()));
        assertThat(photos.of(new Photos.Of(Photos.Subject.INCIDENT, id)))
                .extracting(Photos.PhotoName::name)
                .containsExactly("burn.png");
        assertThat(tom.page(path)).contains("burn.png");
        assertThat(photos.ofBattery(battery.id()))
                .extracting(Photos.PhotoName::name)
                .contains("burn.png");
    }

    @Test
    void whatIsNoBatteryOrLiesAheadIsRefusedInWords() throws Exception {
        MockHttpServletResponse answer = tom.sendParts(
                "/incidents",
                List.of(),
                "kind",
                "",
                "at",
                "in a while",
                "place",
                "",
                "battery",
                "X-99",
                "hurt",
                "some");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString())
                .as("all faults at once, also beside a figure that cannot be read")
                .contains("No battery is called X-99", "“in a while”", "Write something here", "“some”");
        assertThat(new AsPerson(mvc, "vera", "VIEWER").page("/incidents/new"))
                .contains("tell one of them")
                .doesNotContain("Keep the report");
        assertThat(new AsPerson(mvc, "vera", "VIEWER")
                        .sendParts("/incidents", List.of(), arc())
                        .getStatus())
                .isEqualTo(403);
    }

    @Test
    void theRegisterIsAFileToo() throws Exception {
        reported(arc("helped", "cooled, \"thrice\""));
        String file = tom.ask(get("/incidents/register.csv")).getContentAsString();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        List<CSVRecord> lines = format.parse(new StringReader(file)).getRecords();
        assertThat(lines)
                .filteredOn(line -> line.get("battery").equals(battery.code()))
                .singleElement()
                .satisfies(line -> {
                    assertThat(line.get("first_aid")).isEqualTo("cooled, \"thrice\"");
                    assertThat(line.get("hurt")).isEqualTo("1");
                    assertThat(line.get("kind")).isEqualTo("CURRENT");
                });
        assertThat(tom.page("/incidents")).contains("A drop sprang from the hydrometer", "closed by Maud Ferrow");
    }
}
