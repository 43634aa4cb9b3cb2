package org.ostendum.app.sums;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of a calculator shows.
 *
 * @param all calculators that there are
 * @param from code of the battery or charger whose values were taken; empty for none
 * @param isBattery whether {@code from} is a battery, on whose ledger the result can be written
 * @param codes that values can be taken from
 * @param noStart why nothing was taken from {@code from}; null where nothing stands against it
 * @param ownCharge how long the battery's own charges say that it takes; null where they say nothing
 * @param noBattery why the result could not be written on a ledger; null where nobody tried in vain
 */
record SumView(
        List<Sum> all,
        Sum sum,
        SumSheet sheet,
        String from,
        boolean isBattery,
        List<String> codes,
        @Nullable String noStart,
        SumStarts.@Nullable OwnCharge ownCharge,
        @Nullable String noBattery) {

    SumView without(String battery) {
        return new SumView(all, sum, sheet, from, isBattery, codes, noStart, ownCharge, battery);
    }
}
