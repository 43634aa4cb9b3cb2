package org.ostendum.app.browser;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.ostendum.app.support.DemoPages;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;

/** Room, batteries, rounds, jobs and sums. */
class EveryPageOfWorkTest extends EveryPage {
    /** Of a battery that may be read on every day of the week. */
    private static final String ROUND = "/batteries/SEEN-1/round";

    @Autowired
    private OwnBatteries own;

    static List<String> pages() {
        return Stream.concat(Stream.of(ROUND), DemoPages.ofWork().stream()).toList();
    }

    @BeforeAll
    void beginARound() {
        own.full("SEEN-1", "T-25");
        browser().go(ROUND);
        browser().find("main form button.action").click();
        browser().await("#round");
    }
}
