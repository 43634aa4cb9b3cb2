package org.ostendum.app.browser;

import java.util.List;

/** Room, batteries, rounds, jobs and sums. */
class EveryPageOfWorkTest extends EveryPage {
    static List<String> pages() {
        return List.of(
                "/rooms/main",
                "/batteries/T-07",
                "/batteries/G-03",
                "/batteries/T-25/round",
                "/batteries/T-23/round",
                "/batteries/T-08/correct?cell=2",
                "/batteries/T-08/ledger?check",
                "/batteries/T-19/jobs",
                "/batteries/T-13/jobs/water",
                "/batteries/G-06/volts",
                "/batteries/T-19/map?a=1%2B&b=12-",
                "/date-code?code=J4",
                "/jobs",
                "/mine",
                "/day",
                "/jobs/3",
                "/jobs/4/report",
                "/jobs/5",
                "/jobs/6",
                "/machines",
                "/machines/F5",
                "/machines/F3",
                "/places",
                "/batteries/T-07/cells",
                "/batteries/G-08/cells",
                "/batteries/T-23",
                "/jobs/7",
                "/jobs/8",
                "/batteries/G-06/pack",
                "/batteries/G-08/pack",
                "/batteries/G-08/pack?way=together&school=NEGATIVE_FIRST",
                "/batteries/T-19/jobs/charge",
                "/procedures",
                "/procedures/water",
                "/safety",
                "/sums/mixing",
                "/sums/freezing",
                "/sums/gas",
                "/sums/adjusting?from=T-07",
                "/sums/pool",
                "/sums/capacity?testAmperes=x",
                "/sums/beam",
                "/sums/repair?from=T-07");
    }
}
