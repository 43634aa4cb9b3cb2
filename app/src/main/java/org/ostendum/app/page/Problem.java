package org.ostendum.app.page;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.ostendum.app.db.Payload;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** A refusal of a program's call before any handler has it, as RFC 9457 wants it. */
public final class Problem {
    private Problem() {}

    /**
     * @param field what it is about; empty for the call as a whole
     * @param detail a sentence that says what is allowed
     */
    public static void answer(HttpServletResponse response, HttpStatus status, String field, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.getWriter()
                .write(Payload.object()
                        .put("title", status.getReasonPhrase())
                        .put("status", status.value())
                        .put("field", field)
                        .put("detail", detail)
                        .toString());
    }
}
