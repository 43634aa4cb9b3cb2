package org.ostendum.planner;

/** Power and hydrogen of all charges, minute by minute: what the search keeps within the room's limits. */
final class Loads {
    private static final int WATTS_TO_COUNT = 1000;
    private static final int MILLILITRES_TO_COUNT = 10_000;

    private final Minutes watts;
    private final Minutes millilitres;
    private final Minutes[] airs;
    private final Peak peak;

    Loads(Pricing pricing) {
        peak = new Peak(pricing.until());
        watts = new Minutes(pricing.wattsMost(), WATTS_TO_COUNT, pricing.until());
        millilitres = new Minutes(pricing.millilitresMost(), MILLILITRES_TO_COUNT, pricing.until());
        airs = pricing.millilitresOfAirs()
                .mapToObj(limit -> new Minutes(limit, MILLILITRES_TO_COUNT, pricing.until()))
                .toArray(Minutes[]::new);
    }

    void add(WorkAndCharge work, int sign) {
        Outlet outlet = work.getOutlet();
        long start = work.chargeStart();
        long end = work.chargeEnd();
        long gas = Math.max(start, end - work.finishSeconds());
        int given = (int) (sign * Math.round(1000 * outlet.litresPerHour()));
        watts.add((int) (sign * Math.round(1000 * outlet.kw())), start, end);
        millilitres.add(given, gas, end);
        peak.add(sign * 1000 * outlet.kw(), start, end);
        if (outlet.air() >= 0) {
            airs[outlet.air()].add(given, gas, end);
        }
    }

    long over() {
        long over = watts.over() + millilitres.over();
        for (Minutes air : airs) {
            over += air.over();
        }
        return over;
    }

    /** @return watts of the peak, as the search feels it */
    double peak() {
        return peak.watts();
    }
}
