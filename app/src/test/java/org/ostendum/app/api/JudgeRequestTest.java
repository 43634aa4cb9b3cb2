package org.ostendum.app.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.core.state.BatteryState;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

class JudgeRequestTest {
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

    /** Characters swapped, dropped and doubled at random: a state or a refusal, never a fault of ours. */
    @Test
    void anyBodyIsJudgedOrRefused() {
        Random random = new Random(5);
        int judged = 0;
        int refused = 0;
        for (int i = 0; i < 5000; i++) {
            String text = spoilt(random);
            try {
                BatteryState state = JudgeRequest.read(json(text), ZoneOffset.UTC);
                assertThat(state.verdict()).as(text).isNotNull();
                judged++;
            } catch (ApiProblem | JacksonException told) {
                refused++;
            }
        }
        assertThat(judged).as("some pass").isGreaterThan(100);
        assertThat(refused).as("some do not").isGreaterThan(100);
    }

    private static JsonNode json(String text) {
        return Payload.read(text);
    }

    private static String spoilt(Random random) {
        StringBuilder text = new StringBuilder(SOUND);
        for (int k = 0; k <= random.nextInt(4); k++) {
            int at = random.nextInt(text.length());
            switch (random.nextInt(3)) {
                case 0 -> text.deleteCharAt(at);
                case 1 -> text.insert(at, "9e{}[],:\"-".charAt(random.nextInt(10)));
                default -> text.setCharAt(at, (char) (32 + random.nextInt(95)));
            }
        }
        return text.toString();
    }
}
