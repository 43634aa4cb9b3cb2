package org.ostendum.app.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.httpBasic;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.db.Payload;
import org.ostendum.app.support.ApplicationTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

class JudgeApiTest extends ApplicationTest {
    private static final String SOUND =
            """
            {"model": {"kind": "flooded", "cells": 6, "capacityAh": 300, "rateHours": 6, "sgFull": 1.285, "sgEmpty": 1.140,
                       "use": "motive"},
             "asOf": "2026-06-01T12:00:00Z",
             "rounds": [{"takenAt": "2026-06-01T08:00:00+02:00", "state": "after_equalise", "temperatureC": 25, "cells": [
               {"cell": 1, "sg": 1.280}, {"cell": 2, "sg": 1281}, {"cell": 3, "sg": 1.279}, {"cell": 4, "sg": 1.215, "confirmed": true},
               {"cell": 5, "sg": 1.280, "note": "colour:brown"}, {"cell": 6, "sg": 1.282, "levelMm": -3}]}],
             "events": [{"at": "2026-05-31T20:00:00Z", "type": "equalise_end", "quantity": 3, "unit": "h"}]}
            """;

    @Autowired
    private MockMvc mvc;

    private MockHttpServletResponse ask(String body) throws Exception {
        return mvc.perform(post("/api/v1/judge")
                        .with(httpBasic("vera", "lanternmoor"))
                        .contentType("application/json")
                        .content(body))
                .andReturn()
                .getResponse();
    }

    @Test
    void readingsAreJudgedWithTheirReasonsAndKeptNowhere() throws Exception {
        JsonNode answer = Payload.read(ask(SOUND).getContentAsString());
        assertThat(answer.at("/verdict/level").asString()).isEqualTo("stop");
        assertThat(answer.at("/verdict/sentence").asString()).isNotEmpty();
        JsonNode weak = finding(answer, "cell.weak");
        assertThat(weak.path("cell").asInt()).isEqualTo(4);
        assertThat(weak.at("/rules/0/key").asString()).isEqualTo("judge.spread.cell-below-median");
        assertThat(weak.at("/rules/0/unit").asString()).isEqualTo("points");
        assertThat(weak.at("/evidence/belowMedian").asDouble()).isEqualTo(0.065);
        assertThat(weak.path("next").asString()).isEqualTo("repair_cell");
        assertThat(weak.path("confidence").asDouble()).isBetween(0.0, 1.0);
        assertThat(finding(answer, "cell.colour").path("cell").asInt()).isEqualTo(5);
        assertThat(finding(answer, "cell.dry").path("level").asString()).isEqualTo("stop");
    }

    private static JsonNode finding(JsonNode answer, String code) {
        for (JsonNode finding : answer.path("findings")) {
            if (finding.path("code").asString().equals(code)) {
                return finding;
            }
        }
        throw new AssertionError("no " + code + " in " + answer);
    }

    @Test
    void aRuleOfTheCallersWins() throws Exception {
        String strict = SOUND.replace("\"asOf\"", "\"rules\": {\"judge.spread.cell-below-median\": 70}, \"asOf\"");
        assertThat(ask(strict).getContentAsString()).doesNotContain("cell.weak");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
            "cells": 6,| "cells": 0,| model.cells| 1 to 144
            "cells": 6,| | model.cells| missing
            1.215| 2.215| rounds[0].cells[3].sg| 1.000 to 1.400
            1.215| "low"| rounds[0].cells[3].sg| a number
            after_equalise| tired| rounds[0].state| after_equalise
            2026-06-01T08:00:00+02:00| yesterday| rounds[0].takenAt| with its offset
            {"cell": 2,| {"cell": 9,| rounds[0].cells[1].cell| 1 to 6
            {"cell": 2,| {"cell": 1,| rounds[0].cells[1].cell| each cell once
            equalise_end| party| events[0].type| charge_end
            "asOf": "2026-06-01T12| "asOf": "2025-06-01T12| rounds| at least one round
            "asOf"| "rules": {"judge.luck": 1}, "asOf"| rules.judge.luck| no rule
            "asOf"| "rules": {"judge.spread.fine": 400}, "asOf"| rules.judge.spread.fine| 5 to 40
            "kind": "flooded"| "kind": "wet"| model.kind| flooded, agm, gel
            1.140| 1.280| model.sgEmpty| below sgFull
            """)
    void whatDoesNotFitIsNamedByItsPath(String text, String instead, String field, String told) throws Exception {
        MockHttpServletResponse answer = ask(SOUND.replace(text, instead == null ? "" : instead));
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentType()).startsWith("application/problem+json");
        JsonNode problem = Payload.read(answer.getContentAsString());
        assertThat(problem.path("field").asString()).isEqualTo(field);
        assertThat(problem.path("detail").asString()).contains(told);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "[1,2", "\u0000", "{\"model\":"})
    void whatIsNoJsonIsRefused(String body) throws Exception {
        MockHttpServletResponse answer = ask(body);
        assertThat(answer.getStatus()).isEqualTo(400);
        assertThat(answer.getContentType()).startsWith("application/problem+json");
        assertThat(answer.getContentAsString()).contains("JSON").doesNotContain("tools.jackson");
    }

    @Test
    void nobodyUnknownIsAnswered() throws Exception {
        assertThat(mvc.perform(post("/api/v1/judge")
                                .contentType("application/json")
                                .content(SOUND))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(401);
    }
}
