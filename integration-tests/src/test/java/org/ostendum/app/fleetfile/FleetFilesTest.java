package org.ostendum.app.fleetfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** A site in files: taken in whole or not at all, and given back. */
@Transactional
class FleetFilesTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Rooms rooms;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Chargers chargers;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryStates batteryStates;

    private AsPerson maud;

    @BeforeEach
    void people() {
        maud = AsPerson.maud(mvc);
    }

    private MockHttpServletResponse send(String file, String content) throws Exception {
        return mvc.perform(post("/api/v1/fleet/" + file)
                        .with(httpBasic("maud", "lanternmoor"))
                        .contentType("text/csv")
                        .content(content))
                .andReturn()
                .getResponse();
    }

    private JsonNode taken(String file, String content) throws Exception {
        MockHttpServletResponse answer = send(file, content);
        JsonNode report = Payload.read(answer.getContentAsString());
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(200);
        assertThat(report.path("taken").asBoolean()).isTrue();
        return report;
    }

    private String fetch(String path) throws Exception {
        return mvc.perform(get(path).with(httpBasic("maud", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    /** Each file in the order of the contract, naming only what it says is required and what later files bring. */
    private void newSite() throws Exception {
        taken("rooms.csv", "room,name,volume_m3,height_m,fan_m3_h\nannex,Annex,240,3.5,900\n");
        taken(
                "places.csv",
                "place,room,stand,tier,x_cm,y_cm,charger\n"
                        + "Annex 1,annex,Annex,1,100,100,CX1\nAnnex 2,annex,Annex,1,220,100,CX2\nBay 1,annex,Bay,1,100,400,\n");
        taken(
                "models.csv",
                "model,volts,cells,capacity_ah,weight_kg,sg_full\nHollin 24-500,24,12,500,430,1.28\nHollin 48-225,48,24,225,,\n");
        taken(
                "chargers.csv",
                "charger,place,volts,amperes,on_board\nCX1,,24,80,\nCX2,Annex 2,24 48,100,no\nCX3,X-GOLF,48,25,true\n");
        taken("machines.csv", "machine,kind,volts,place\nX-GOLF,golf_car,48,Bay 1\nX-FORK,forklift,24,\n");
        taken(
                "batteries.csv",
                "battery,model,serial,made,in_service,place,machine,owner\n"
                        + "X-01,Hollin 24-500,HS-1,2024-03-01,2024-04-01,Annex 1,,xenia\n"
                        + "X-02,Hollin 48-225,,,,,X-GOLF,tom\n");
        taken(
                "people.csv",
                "login,name,role,trainings\nxenia,Xenia Tarrow,technician,battery_care:2030-01-01;changing:2030-02-01\n");
    }

    @Test
    void aSiteComesFromSevenFilesInTheirOrder() throws Exception {
        newSite();
        var room = rooms.byCode("annex").orElseThrow();
        assertThat(room.cubicMetres()).isEqualTo(240);
        assertThat(room.air().fanCubicMetresPerHour()).isEqualTo(900);
        assertThat(room.slots()).extracting(s -> s.code()).containsExactly("Annex 1", "Annex 2", "Bay 1");
        var first = batteries.byCode("X-01").orElseThrow();
        assertThat(first.place()).isEqualTo("Annex 1");
        assertThat(first.waterOwner()).isEqualTo("Xenia Tarrow");
        assertThat(first.type().model().marks().fullFrom().points()).isEqualTo(1280);
        assertThat(chargers.byId(chargers.usualOf(first).orElseThrow())
                        .orElseThrow()
                        .code())
                .isEqualTo("CX1");
        assertThat(ledger.ofBattery(first.id(), null, 5)).hasSize(1);
        var golf = batteries.byCode("X-02").orElseThrow();
        assertThat(golf.machineCode()).isEqualTo("X-GOLF");
        var onBoard = chargers.byId(chargers.usualOf(golf).orElseThrow()).orElseThrow();
        assertThat(onBoard.code()).isEqualTo("CX3");
        assertThat(onBoard.reaches("X-GOLF")).isTrue();
        assertThat(onBoard.reaches(null))
                .as("what is on board charges nothing else")
                .isFalse();
        assertThat(maud.page("/batteries/X-01")).contains("Annex 1");
        assertThat(maud.page("/rooms/annex")).contains("X-01");
    }

    @ParameterizedTest
    @EnumSource(FleetFile.class)
    void whatIsGivenIsTakenAgainWithoutAChange(FleetFile file) throws Exception {
        newSite();
        JsonNode again = taken(file.fileName(), fetch("/api/v1/fleet/" + file.fileName()));
        assertThat(again.path("lines").asInt()).isPositive();
        assertThat(again.path("same").asInt())
                .as(again.toString())
                .isEqualTo(again.path("lines").asInt());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rooms.csv|room,height_m\\nok-1,3\\nbad room,99|2|room,height_m",
                "places.csv|place,room\\nNowhere 1,nowhere|1|room",
                "models.csv|model,volts,cells,capacity_ah\\nZ,36,12,500|1|volts",
                "models.csv|model,volts,cells,capacity_ah\\nZ,24,12,|1|capacity_ah",
                "models.csv|model,volts,cells|1|capacity_ah",
                "chargers.csv|charger,volts,amperes,place\\nZ1,25,80,\\nZ2,24,80,Nowhere 1|2|volts,place",
                "machines.csv|machine,kind\\nZ,boat|1|kind",
                "batteries.csv|battery,model,place\\nT-01,Nothing,\\nZ-1,Hallowmere 24-300,Nowhere 9|2|model,place",
                "batteries.csv|battery,model,made\\nZ-1,Hallowmere 24-300,2999-01-01|1|made",
                "batteries.csv|battery,model\\nZ-1,Hallowmere 24-300\\nZ-1,Hallowmere 24-300|1|battery",
                "people.csv|login,role\\nmaud,viewer|1|role",
                "people.csv|login,trainings\\nzed,juggling:2030-01-01|1|trainings"
            })
    void aFaultIsToldByLineAndColumnAndNothingIsTaken(String file, String content, int faults, String columns)
            throws Exception {
        int before = batteries.count();
        MockHttpServletResponse answer = send(file, content.replace("\\n", "\n") + "\n");
        JsonNode report = Payload.read(answer.getContentAsString());
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(report.path("faults").asInt())
                .as(answer.getContentAsString())
                .isEqualTo(faults);
        assertThat(report.path("problems").findValuesAsString("column")).containsExactlyInAnyOrder(columns.split(","));
        assertThat(report.path("taken").asBoolean()).isFalse();
        assertThat(batteries.count()).isEqualTo(before);
    }

    @Test
    void aLookWritesNothing() throws Exception {
        JsonNode report = Payload.read(send("rooms.csv?preview=true", "room,name,colour\nannex,Annex,blue\n")
                .getContentAsString());
        assertThat(report.path("added").asInt()).isEqualTo(1);
        assertThat(report.path("taken").asBoolean()).isFalse();
        assertThat(report.path("unknownColumns").get(0).asString()).isEqualTo("colour");
    }

    @Test
    void twoBatteriesChangePlacesInOneFile() throws Exception {
        newSite();
        taken(
                "batteries.csv",
                "battery,model,place,machine\nX-01,Hollin 24-500,,X-FORK\nX-02,Hollin 48-225,Annex 1,\n");
        assertThat(batteries.byCode("X-01").orElseThrow().machineCode()).isEqualTo("X-FORK");
        var second = batteries.byCode("X-02").orElseThrow();
        assertThat(second.place()).isEqualTo("Annex 1");
        assertThat(batteryStates.stateOf(second).place().slot()).isEqualTo("Annex 1");
        taken("batteries.csv", "battery,model,serial\nX-02,Hollin 48-225,HS-77\n");
        assertThat(batteries.byCode("X-02").orElseThrow().place())
                .as("a column left out leaves what is on record")
                .isEqualTo("Annex 1");
    }

    @Test
    void aPlaceThatIsTakenIsNamed() throws Exception {
        newSite();
        MockHttpServletResponse answer = send("batteries.csv", "battery,model,place\nX-09,Hollin 24-500,Annex 1\n");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("X-01 is there");
    }

    @Test
    void aChargerOfUnknownVoltsIsNotGuessed() throws Exception {
        assertThat(send("chargers.csv", "charger\nZ1\n").getContentAsString()).contains("the volts of its plate");
    }

    @Test
    void allFilesGoInOneArchive() throws Exception {
        newSite();
        byte[] zip = mvc.perform(get("/api/v1/fleet.zip").with(httpBasic("maud", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (FleetFile file : FleetFile.values()) {
                assertThat(in.getNextEntry().getName()).isEqualTo(file.fileName());
            }
        }
        MockHttpServletResponse answer = sendZip(zip);
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(200);
        assertThat(Payload.read(answer.getContentAsString()).path("files").findValuesAsString("added"))
                .containsOnly("0");
        assertThat(sendZip("PK\u0003\u0004 and no more".getBytes(StandardCharsets.ISO_8859_1))
                        .getStatus())
                .isEqualTo(422);
    }

    private MockHttpServletResponse sendZip(byte[] zip) throws Exception {
        return mvc.perform(post("/api/v1/fleet.zip")
                        .with(httpBasic("maud", "lanternmoor"))
                        .contentType("application/zip")
                        .content(zip))
                .andReturn()
                .getResponse();
    }

    @Test
    void oneFaultyFileOfAnArchiveLetsNoneIn() throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("site/rooms.csv"));
            zip.write("room\nannex\n".getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry("site/batteries.csv"));
            zip.write("battery,model\nX-01,Nothing\n".getBytes(StandardCharsets.UTF_8));
        }
        assertThat(sendZip(bytes.toByteArray()).getStatus()).isEqualTo(422);
        assertThat(rooms.byCode("annex")).isEmpty();
    }

    @Test
    void aTableFromASpreadsheetIsLookedAtAndThenTaken() throws Exception {
        MockHttpServletResponse kept = maud.ask(multipart("/setup/fleet")
                .file(new MockMultipartFile("file", "", null, new byte[0]))
                .param("table", "room\tname\nannex\tThe annex, behind\n"));
        String at = kept.getRedirectedUrl();
        assertThat(maud.page(at)).contains("1 new, 0 changed. Take it in?", "The annex, behind");
        assertThat(rooms.byCode("annex")).isEmpty();
        maud.send(at);
        assertThat(rooms.byCode("annex").orElseThrow().name()).isEqualTo("The annex, behind");
    }

    @Test
    void onlyALeadMovesASite() throws Exception {
        for (String path : List.of("/api/v1/fleet/people.csv", "/api/v1/fleet.zip", "/setup/fleet")) {
            assertThat(AsPerson.tom(mvc).ask(get(path)).getStatus()).isEqualTo(403);
        }
        assertThat(AsPerson.tom(mvc)
                        .ask(post("/api/v1/fleet/rooms.csv")
                                .contentType(MediaType.parseMediaType("text/csv"))
                                .content("room\nannex\n"))
                        .getStatus())
                .isEqualTo(403);
    }
}
