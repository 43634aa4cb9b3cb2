package org.ostendum.app.job;

import java.util.Map;
import org.ostendum.core.procedure.RunEvent;

/**
 * What a person says at a job.
 *
 * @param key of the browser's, so that a form sent twice counts once
 * @param about the step or stop condition
 * @param fields as typed: {@code value}, or the fields of a row
 */
public record JobInput(String key, RunEvent.Kind kind, String about, Map<String, String> fields) {
    public String value() {
        return fields.getOrDefault("value", "").strip();
    }
}
