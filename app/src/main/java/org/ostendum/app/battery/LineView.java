package org.ostendum.app.battery;

import java.util.List;
import org.ostendum.app.event.LogForm;
import org.ostendum.app.inventory.Battery;

/**
 * What the page of one line of a ledger shows.
 *
 * @param may whether who looks at it may put it right
 * @param replaceable whether another can be written in its place here
 * @param isRound whether it is a round, which is put right on its drawing
 */
record LineView(
        Battery battery,
        LedgerLine line,
        List<LineOrigins.Origin> origins,
        boolean may,
        boolean replaceable,
        boolean isRound,
        LogForm form) {}
