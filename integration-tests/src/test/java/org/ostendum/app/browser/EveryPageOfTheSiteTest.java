package org.ostendum.app.browser;

import java.util.List;
import org.ostendum.app.support.DemoPages;

/** Charging, lists, set-up and what lies around. */
class EveryPageOfTheSiteTest extends EveryPage {
    static List<String> pages() {
        return DemoPages.ofTheSite();
    }
}
