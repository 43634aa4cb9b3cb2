package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import org.junit.jupiter.api.Test;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

class WouldTakeTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private WouldTakeController weighing;

    /** It keeps a processor busy for a second or two: who asks for it again and again stops nobody else’s work. */
    @Test
    void oneAfterAnotherIsToldAndWhoWaitsTooLongToComeAgain() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        weighing.turn.acquire();
        try {
            MockHttpServletResponse busy = tom.ask(get("/plan/would-take"));
            assertThat(busy.getStatus()).isEqualTo(503);
            assertThat(busy.getContentAsString()).contains("for somebody else").doesNotContain("A usual week");
        } finally {
            weighing.turn.release();
        }
        assertThat(tom.page("/plan/would-take")).contains("A usual week");
        assertThat(weighing.turn.availablePermits()).isEqualTo(1);
    }
}
