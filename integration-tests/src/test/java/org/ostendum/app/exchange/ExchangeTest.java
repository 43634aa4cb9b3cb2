package org.ostendum.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.csv.FileRead;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

class ExchangeTest extends ApplicationTest {
    private static final String HEADER = "battery,taken_at,state,cell,sg,temperature_c,volts,on_charge,level_mm,note\n";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Rounds rounds;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    @Autowired
    private PastCheck past;

    private AsPerson maud;

    @BeforeEach
    void people() {
        maud = AsPerson.maud(mvc);
    }

    private MockHttpServletResponse send(String file, String content) throws Exception {
        return mvc.perform(post("/api/v1/" + file)
                        .with(httpBasic("maud", "lanternmoor"))
                        .contentType("text/csv")
                        .content(content))
                .andReturn()
                .getResponse();
    }

    private String fetch(String file) throws Exception {
        return mvc.perform(get("/api/v1/" + file).with(httpBasic("vera", "lanternmoor")))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    private long id(String code) {
        return batteries.byCode(code).orElseThrow().id();
    }

    @Test
    void aRoundIsReadWithEverythingTheColumnsCanSay() {
        String text = "\uFEFF" + HEADER
                + "T-01,2024-03-01T08:00:00+01:00,after_equalise,1,1.283,21,2.61,true,12,\r\n"
                + "T-01,2024-03-01T08:00:00+01:00,after_equalise,2,1279,21,2.6,true,-4,colour:brown\n"
                + "\"T-01\",2024-03-01T08:00:00+01:00,after_equalise,3,,21,,,,\"too_low, level:exposed\"\n";
        FileRead<RoundsCsv.Line> file = RoundsCsv.read(new StringReader(text));
        assertThat(file.problems().first()).isEmpty();
        Round round = file.lines().get(0).round();
        assertThat(round.takenAt()).isEqualTo(Instant.parse("2024-03-01T07:00:00Z"));
        assertThat(round.state()).isEqualTo(RoundState.AFTER_EQUALISE);
        assertThat(round.temperature().degrees()).isEqualTo(21);
        assertThat(round.readings().get(0).gravity().points()).isEqualTo(1283);
        assertThat(round.readings().get(0).onCharge()).isTrue();
        assertThat(round.readings().get(1).level()).isEqualTo(Level.EXPOSED);
        assertThat(round.readings().get(1).colour()).isEqualTo(Colour.BROWN);
        assertThat(round.readings().get(2).tooLow()).isTrue();
        assertThat(round.readings().get(2).level()).isEqualTo(Level.EXPOSED);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
            T-01,2024-03-01T08:00:00Z,,1,12.65| 2| sg| 1.000 to 1.400
            T-01,2024-03-01T08:00:00Z,,1,high| 2| sg| a number
            T-01,March,,1,1.265| 2| taken_at| with its offset
            T-01,0001-03-01T08:00:00Z,,1,1.265| 2| taken_at| from 1980 to 2099
            T-01,+99999-03-01T08:00:00Z,,1,1.265| 2| taken_at| from 1980 to 2099
            T-01,2024-03-01T08:00:00Z,,1,1.2d| 2| sg| a number
            T-01,2024-03-01T08:00:00Z,,0x1p3,1.265| 2| cell| 1 to 144
            T-01,2024-03-01T08:00:00Z,tired,1,1.265| 2| state| full_charge
            T-01,2024-03-01T08:00:00Z,,0,1.265| 2| cell| 1 to 144
            T-01,2024-03-01T08:00:00Z,,99,1.265| 2| cell| has 18 cells
            T-01,2099-03-01T08:00:00Z,,1,1.265| 2| taken_at| has come
            Z-77,2024-03-01T08:00:00Z,,1,1.265| 2| battery| a battery of this site
            ,2024-03-01T08:00:00Z,,1,1.265| 2| battery| not to be empty
            """)
    void whatDoesNotFitIsToldByLineAndColumn(String row, int line, String column, String expected) throws Exception {
        MockHttpServletResponse answer = send("rounds.csv", HEADER + row + "\n");
        assertThat(answer.getStatus()).isEqualTo(422);
        JsonNode problem = Payload.read(answer.getContentAsString()).at("/problems/0");
        assertThat(problem.path("line").asInt()).isEqualTo(line);
        assertThat(problem.path("column").asString()).isEqualTo(column);
        assertThat(problem.path("expected").asString()).contains(expected);
    }

    /** A note is a line, not a book. */
    @Test
    void aNoteOfMegabytesIsRefused() throws Exception {
        MockHttpServletResponse answer =
                send("rounds.csv", HEADER + "T-01,2024-03-01T08:00:00Z,,1,1.265,,,,," + "x".repeat(2_000_000) + "\n");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString())
                .contains("at most 400 characters")
                .hasSizeLessThan(2000);
    }

    @Test
    void ofAFaultyFileNothingIsTaken() throws Exception {
        int before = rounds.history(id("T-04"), 100).size();
        MockHttpServletResponse answer = send(
                "rounds.csv",
                HEADER + "T-04,2024-03-01T08:00:00Z,,1,1.265\nT-04,2024-03-02T08:00:00Z,,1,1.265\n"
                        + "T-04,2024-03-02T08:00:00Z,,1,1.266\n");
        assertThat(answer.getContentAsString()).contains("each cell once");
        assertThat(rounds.history(id("T-04"), 100)).hasSize(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"battery,cell\nT-01,1\n", "a,a\n1,2\n", "battery,taken_at,cell\n\"T-01,x"})
    void whatLacksItsColumnsIsRefused(String content) throws Exception {
        assertThat(send("rounds.csv", content).getStatus()).isEqualTo(422);
    }

    /** Out, into a battery that has none of it, and out again: the same. */
    @Test
    void whatGoesOutComesInTheSame() throws Exception {
        String out = fetch("rounds.csv?battery=G-09").replace("G-09", "X-9");
        var model = batteries.byCode("G-09").orElseThrow().type();
        batteries.add("X-9", "9", model.id(), null, LocalDate.of(2024, 1, 1));
        MockHttpServletResponse answer = send("rounds.csv", out);
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(200);
        assertThat(fetch("rounds.csv?battery=X-9").lines().count())
                .isGreaterThan(100)
                .isEqualTo(out.lines().count());
        assertThat(past.check(id("X-9")).isWhole()).isTrue();
        assertThat(send("rounds.csv", out).getContentAsString()).contains("not on record yet");
    }

    @Test
    void happeningsGoInAndOut() throws Exception {
        String header = "battery,at,type,quantity,unit,cell,note,colour_of_sky\n";
        String rows = "P-2,2024-03-01T20:00:00Z,charge_end,412.5,Ah,,,blue\n"
                + "P-2,2024-03-01T21:00:00Z,temperature_max,51,°C,,,\n"
                + "P-2,2024-03-02T09:00:00Z,cell_replaced,,,4,serial 88,\n";
        assertThat(send("events.csv?preview=true", header + rows).getContentAsString())
                .contains("\"taken\":false", "colour_of_sky");
        assertThat(send("events.csv", header + rows).getContentAsString()).contains("\"taken\":true");
        assertThat(new EventLog(ledger.events(id("P-2"), Instant.EPOCH))
                        .returned(Instant.EPOCH, Instant.parse("2024-04-01T00:00:00Z")))
                .isEqualTo(412.5);
        assertThat(fetch("events.csv?battery=P-2")).contains("charge_end,412.5,Ah", "cell_replaced,,,4");
        assertThat(send("events.csv", header + rows).getContentAsString()).contains("not on record yet");
        assertThat(send("events.csv", header + "P-2,2024-03-01T20:00:00Z,water,9,gal,,,\n")
                        .getContentAsString())
                .contains("\"expected\":\"ml\"");
    }

    @Test
    void aLeadLooksBeforeItIsTaken() throws Exception {
        String text = HEADER + "P-3,2024-05-01T08:00:00Z,full_charge,1,1.275\n";
        MockMultipartFile file =
                new MockMultipartFile("file", "old.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
        String address = maud.ask(multipart("/exchange").file(file).param("kind", "ROUNDS"))
                .getRedirectedUrl();
        assertThat(maud.page(address)).contains("1 rounds with 1 readings of 1 batteries");
        assertThat(rounds.takenAt(id("P-3"))).doesNotContain(Instant.parse("2024-05-01T08:00:00Z"));
        maud.send(address);
        assertThat(rounds.takenAt(id("P-3"))).contains(Instant.parse("2024-05-01T08:00:00Z"));
        assertThat(AsPerson.tom(mvc)
                        .ask(multipart("/exchange").file(file).param("kind", "ROUNDS"))
                        .getStatus())
                .isEqualTo(403);
    }
}
