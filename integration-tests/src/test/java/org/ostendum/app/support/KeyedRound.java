package org.ostendum.app.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.springframework.mock.web.MockHttpServletResponse;

/** An open round, keyed as its page does. */
public record KeyedRound(AsPerson person, long id) {
    public KeyedRound key(int cell, String field, String value) throws Exception {
        assertThat(send(cell, field, value).getStatus())
                .as("cell " + cell + " " + value)
                .isEqualTo(200);
        return this;
    }

    public MockHttpServletResponse send(int cell, String field, String value) throws Exception {
        return person.send(
                "/rounds/" + id + "/values",
                "key",
                UUID.randomUUID().toString(),
                "cell",
                String.valueOf(cell),
                "field",
                field,
                "value",
                value,
                "base",
                "0");
    }

    public MockHttpServletResponse close() throws Exception {
        MockHttpServletResponse closed = person.send("/rounds/" + id + "/close");
        assertThat(closed.getStatus()).isEqualTo(302);
        return closed;
    }
}
