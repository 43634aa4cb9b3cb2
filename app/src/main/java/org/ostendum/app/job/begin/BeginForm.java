package org.ostendum.app.job.begin;

import java.util.Arrays;
import java.util.Map;
import org.ostendum.core.wiring.School;

/**
 * What is typed before a job: the machine it goes into, the charger it goes on and what for, and a reason.
 *
 * @param looked whether the person has looked at what no record tells
 * @param over whether all steps are answered at one look
 * @param school in which order the cables of a pack come off
 */
record BeginForm(
        String machine, String charger, String kind, String reason, boolean looked, boolean over, School school) {
    static final int SHORTEST_REASON = 10;
    private static final int LONGEST_REASON = 400;

    static final BeginForm EMPTY = new BeginForm("", "", "", "", false, false, School.LEAST);

    static BeginForm of(Map<String, String> typed) {
        return new BeginForm(
                typed.getOrDefault("machine", ""),
                typed.getOrDefault("charger", ""),
                typed.getOrDefault("kind", ""),
                typed.getOrDefault("reason", "").strip(),
                !typed.getOrDefault("looked", "").isEmpty(),
                !typed.getOrDefault("over", "").isEmpty(),
                schoolNamed(typed.getOrDefault("school", "")));
    }

    private static School schoolNamed(String name) {
        return Arrays.stream(School.values())
                .filter(school -> school.name().equals(name))
                .findFirst()
                .orElse(School.LEAST);
    }

    boolean hasReason() {
        return reason.length() >= SHORTEST_REASON && reason.length() <= LONGEST_REASON;
    }
}
