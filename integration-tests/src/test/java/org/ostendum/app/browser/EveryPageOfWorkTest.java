package org.ostendum.app.browser;

import java.util.List;
import org.ostendum.app.support.DemoPages;

/** Room, batteries, rounds, jobs and sums. */
class EveryPageOfWorkTest extends EveryPage {
    static List<String> pages() {
        return DemoPages.ofWork();
    }
}
