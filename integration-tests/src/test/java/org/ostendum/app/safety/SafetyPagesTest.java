package org.ostendum.app.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.incident.Incidents;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.KitItem;
import org.ostendum.core.safety.Training;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class SafetyPagesTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Stations stations;

    @Autowired
    private Trainings trainings;

    @Autowired
    private Incidents incidents;

    @Autowired
    private People people;

    @Autowired
    private Rooms rooms;

    private AsPerson oskar;
    private AsPerson maud;
    private AsPerson ines;

    @BeforeEach
    void people() {
        oskar = AsPerson.oskar(mvc);
        maud = AsPerson.maud(mvc);
        ines = new AsPerson(mvc, "ines", "TECHNICIAN");
    }

    private Stations.Station station(String name) {
        return stations.of(rooms.names().get(0).id()).stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsOverdueIsToldAndCheckedAway() throws Exception {
        oskar.send("/safety/stations", "room", "main", "kind", "EXTINGUISHER", "name", "Extinguisher by the stair");
        long id = station("Extinguisher by the stair").id();
        assertThat(oskar.page("/safety")).contains("cannot be relied on");
        assertThat(ofStation(id)).contains("Extinguisher by the stair", "no check on record");
        oskar.send("/safety/stations/" + id, "sound", "true", "remark", "needle in the green");
        assertThat(ofStation(id)).contains("needle in the green", "ready").doesNotContain("no check on record");
    }

    private String ofStation(long id) throws Exception {
        return Jsoup.parse(oskar.page("/safety"))
                .selectFirst("li:has(form[action$=/stations/" + id + "])")
                .text();
    }

    /** What is taken out of the kit shuts the gates at once, and what is put in opens them. */
    @Test
    void aKitIsKeptItemByItem() throws Exception {
        String kit = "/safety/stations/" + station("Spill kit by the door").id() + "/kit";
        assertThat(ines.page(kit)).contains("All 8 things are there", "First to expire: Soda, 5 kg");
        ines.send(kit, "item", "Towels", "deed", "TAKEN");
        assertThat(ines.page(kit)).contains("1 of 8 things is missing");
        assertThat(ines.page("/safety")).contains("not in order");
        ines.send(kit, "item", "Towels", "deed", "PUT_IN");
        ines.send(kit, "item", "Soda, 5 kg", "deed", "PUT_IN", "expires", "2020-01-31");
        assertThat(station("Spill kit by the door").state().contents().wanting(TestClock.today()))
                .extracting(KitItem::name)
                .containsExactly("Soda, 5 kg");
        ines.send(kit, "item", "Soda, 5 kg", "deed", "STRUCK");
        assertThat(ines.page(kit)).contains("All 7 things are there");
    }

    @ParameterizedTest
    @CsvSource({
        "item, '', deed, PUT_IN, Write something",
        "item, Rope, deed, BURNT, Choose one",
        "expires, soon, deed, PUT_IN, “soon” is no date",
    })
    void whatCannotBeWrittenOfAKitIsNamed(String field, String value, String other, String otherValue, String told)
            throws Exception {
        String kit = "/safety/stations/" + station("Spill kit by the door").id() + "/kit";
        String item = field.equals("item") ? value : "Rope";
        String expires = field.equals("expires") ? value : "";
        MockHttpServletResponse answer = ines.send(kit, "item", item, "expires", expires, other, otherValue);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told);
    }

    @Test
    void foundWantingWantsWords() throws Exception {
        long id = station("Insulated tools, red board").id();
        MockHttpServletResponse answer = ines.send("/safety/stations/" + id, "sound", "false", "remark", "");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("Say what is wrong");
        assertThat(ines.send("/safety/stations/99999", "sound", "true").getStatus())
                .isEqualTo(404);
    }

    @Test
    void aStationIsAddedOnceByWhoKeepsSafety() throws Exception {
        String[] form = {"room", "main", "kind", "SIGNS", "name", "Sign at the bench"};
        assertThat(ines.send("/safety/stations", form).getStatus()).isEqualTo(403);
        assertThat(oskar.send("/safety/stations", form).getRedirectedUrl()).isEqualTo("/safety");
        assertThat(oskar.send("/safety/stations", form).getContentAsString()).contains("already taken");
        oskar.send("/safety/stations/" + station("Sign at the bench").id(), "sound", "true", "remark", "");
    }

    @Test
    void aTrainingIsWrittenDownAndCountsAtOnce() throws Exception {
        long ineId = people.byLogin("ines").orElseThrow().id();
        LocalDate today = TestClock.today();
        assertThat(trainings.of(ineId).counts(Training.CELL_REPAIR, today, Rules.standard()))
                .isFalse();
        String[] form = {
            "person",
            String.valueOf(ineId),
            "training",
            "CELL_REPAIR",
            "held",
            today.minusDays(1).toString()
        };
        assertThat(ines.send("/safety/trainings", form).getStatus()).isEqualTo(403);
        oskar.send("/safety/trainings", form);
        oskar.send("/safety/trainings", form);
        assertThat(trainings.of(ineId).counts(Training.CELL_REPAIR, today, Rules.standard()))
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "2098-01-01, lies ahead",
        "yesterday, is no date",
        "'', Write a day here",
    })
    void aTrainingWantsADayThatHasCome(String held, String told) throws Exception {
        String id = String.valueOf(people.byLogin("tom").orElseThrow().id());
        MockHttpServletResponse answer =
                oskar.send("/safety/trainings", "person", id, "training", "AIRCRAFT", "held", held);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told);
    }

    /** From the first word to the review that closes the report. */
    @Test
    void aSpillLeadsToAReportThatIsClosedByALead() throws Exception {
        String to = ines.send("/room-jobs/spill").getRedirectedUrl();
        long job = Long.parseLong(to.substring("/jobs/".length()));
        for (List<String> step : List.of(
                List.of("people", "none"),
                List.of("size", "small"),
                List.of("clear", ""),
                List.of("kit", ""),
                List.of("soda", ""),
                List.of("battery", ""),
                List.of("wipe", ""),
                List.of("sign", ""))) {
            say(ines, job, step.get(0), step.get(1));
        }
        // What was used of the kit is gone: no cap comes off before it is filled up.
        assertThat(ines.page("/batteries/T-12/jobs/water")).contains("Spill kit", "not in order");
        assertThat(say(ines, job, "inspected", "").getContentAsString()).contains("cannot sign this");
        say(oskar, job, "inspected", "");
        oskar.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(oskar.page("/jobs/" + job)).contains("Write the incident report");
        assertThat(oskar.page("/incidents/new?job=" + job)).contains("name=\"job\" value=\"" + job + "\"");
        String[] spilt = {
            "job",
            "" + job,
            "kind",
            "SPILL",
            "place",
            "by stand A",
            "litres",
            "0.5",
            "hurt",
            "0",
            "what",
            "cap left off"
        };
        String report = oskar.sendParts("/incidents", List.of(), spilt).getRedirectedUrl();
        assertThat(oskar.ask(get("/incidents/new?job=" + job)).getRedirectedUrl())
                .isEqualTo(report);
        assertThat(maud.page("/jobs")).contains("cap left off");
        assertThat(maud.send(report + "/review", "review", "agreed").getContentAsString())
                .contains("Still to be written: What caused it", "Spill kit refilled and dated again on");
        String[] whole = Stream.concat(
                        Arrays.stream(spilt),
                        Stream.of(
                                "cause",
                                "no count of caps",
                                "corrective",
                                "washed",
                                "prevention",
                                "caps counted",
                                "kit",
                                TestClock.today().minusDays(1).toString(),
                                "version",
                                "0"))
                .toArray(String[]::new);
        assertThat(oskar.sendParts(report, List.of(), whole).getStatus()).isEqualTo(302);
        assertThat(oskar.send(report + "/review", "review", "agreed").getStatus())
                .isEqualTo(403);
        maud.send(report + "/review", "review", "agreed", "version", "1");
        assertThat(incidents.ofJob(job).orElseThrow().isOpen()).isFalse();
        assertThat(oskar.page(report)).contains("by stand A", "500 ml", "nobody was hurt", "no count of caps");
        assertThat(maud.page("/jobs")).doesNotContain("cap left off");
        oskar.send("/safety/stations/" + station("Spill kit by the door").id(), "sound", "true", "remark", "refilled");
        assertThat(ines.page("/batteries/T-12/round")).doesNotContain("not in order");
        assertThat(oskar.sendParts(report, List.of(), whole).getContentAsString())
                .contains("This report is closed");
    }

    private static MockHttpServletResponse say(AsPerson person, long job, String step, String value) throws Exception {
        return person.send(
                "/jobs/" + job + "/done", "key", UUID.randomUUID().toString(), "about", step, "value", value);
    }

    @Test
    void theCardOpensWithoutSigningIn() throws Exception {
        String card =
                mvc.perform(get("/first-aid/card")).andReturn().getResponse().getContentAsString();
        assertThat(card)
                .contains("Water first", "In the eye", "Small spill", "Large spill", "Fire or burst battery")
                .doesNotContain("<html");
    }
}
