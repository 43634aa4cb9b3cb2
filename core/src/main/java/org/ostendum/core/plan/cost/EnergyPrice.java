package org.ostendum.core.plan.cost;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.ostendum.core.plan.room.Price;

/** What energy costs between any two moments: hours times the price of each. Before and after what is told, the nearest price holds. */
public final class EnergyPrice {
    private final List<Price> prices;

    /** @param prices that follow one another; none for energy that costs nothing */
    public EnergyPrice(List<Price> prices) {
        this.prices = prices.stream().sorted(Comparator.comparing(Price::start)).toList();
    }

    /** @return hours, each times the price of a kWh in it; times kW it is money */
    public double hoursTimesPrice(Instant from, Instant until) {
        double sum = 0;
        for (int i = 0; i < prices.size(); i++) {
            Price price = prices.get(i);
            Instant start = i == 0 ? Instant.MIN : price.start();
            Instant end =
                    i == prices.size() - 1 ? Instant.MAX : prices.get(i + 1).start();
            Instant a = from.isAfter(start) ? from : start;
            Instant b = until.isBefore(end) ? until : end;
            if (a.isBefore(b)) {
                sum += price.perKwh() * Duration.between(a, b).toSeconds() / 3600.0;
            }
        }
        return sum;
    }
}
