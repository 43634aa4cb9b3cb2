package org.ostendum.app.browser;

import java.util.List;

/** Charging, lists, set-up and what lies around. */
class EveryPageOfTheSiteTest extends EveryPage {
    static List<String> pages() {
        return List.of(
                "/charging?fan=off",
                "/watering",
                "/charging/several",
                "/batteries/T-05/charge",
                "/batteries/T-24/jobs/charge?charger=CB1",
                "/alarms",
                "/chargers/CA2",
                "/setup/chargers/CA3",
                "/setup/devices",
                "/setup/charging",
                "/setup/changing",
                "/setup/water",
                "/batteries/T-07/chargers?charger=CK1",
                "/fleet?by=DAYS&severity=STOP",
                "/sums/repair",
                "/exchange",
                "/safety/stations/5/kit",
                "/fleet",
                "/fleet?all=yes",
                "/watering?all=yes",
                "/setup/fleet",
                "/setup/site",
                "/me/alarms",
                "/ledger",
                "/rules",
                "/me",
                "/find?q=t",
                "/first-aid",
                "/setup",
                "/setup/batteries",
                "/setup/models/1",
                "/setup/machines",
                "/setup/rooms/main",
                "/setup/people",
                "/no-such-page");
    }
}
