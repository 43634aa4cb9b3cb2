package org.ostendum.app.life;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.ostendum.app.life.BudgetView.Bar;
import org.ostendum.app.life.BudgetView.Line;
import org.ostendum.app.life.Lives.Life;
import org.ostendum.app.words.Words;
import org.ostendum.core.life.Budget;
import org.ostendum.core.life.Stress;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The next three years of replacements and money, and what would change them. */
@Controller
class BudgetController {
    private static final int MONTHS = 36;
    private static final double KELVINS = 5;
    private static final int WIDTH = 1080;
    private static final int HEIGHT = 220;
    private static final double LEFT = 70;
    private static final double FLOOR = 190;

    private final Lives lives;

    BudgetController(Lives lives) {
        this.lives = lives;
    }

    /** What could be done otherwise. */
    enum WhatIf {
        AS_IT_IS,
        /** Batteries of one model take turns. */
        EVEN_POOLS,
        COOLER_ROOM,
        WEEKLY_WATER,
        FULL_CHARGES,
        /** Another school: opportunity charges in place of eight hours each of work, charge and rest. */
        IN_BREAKS
    }

    @GetMapping("/budget")
    String budget(@RequestParam(defaultValue = "AS_IT_IS") WhatIf what, Words words, Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), words.zone());
        List<Life> all = lives.all();
        Budget now = budget(all);
        Budget other = what == WhatIf.AS_IT_IS ? now : budget(under(what, all));
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new BudgetView(
                        what,
                        all.stream().map(life -> line(life, today)).toList(),
                        unpriced(all),
                        now,
                        other,
                        all.stream().mapToDouble(Life::eaten).sum(),
                        bars(now, other, YearMonth.from(today), words),
                        words.roughMoney(most(now, other)),
                        "0 0 " + WIDTH + " " + HEIGHT));
        return "life/budget";
    }

    private static List<String> unpriced(List<Life> all) {
        return all.stream()
                .filter(life -> life.prices() == null)
                .map(life -> life.battery().type().code())
                .distinct()
                .sorted()
                .toList();
    }

    private static Budget budget(List<Life> all) {
        return Budget.of(
                all.stream()
                        .map(life -> new Budget.Item(life.forecast(), life.anew(), life.money()))
                        .toList(),
                MONTHS);
    }

    private static List<Life> under(WhatIf what, List<Life> all) {
        Map<String, Double> even = Lives.even(all);
        List<Life> other = new ArrayList<>();
        for (Life life : all) {
            Stress stress = life.stress();
            Stress now =
                    switch (what) {
                        case AS_IT_IS -> stress;
                        case EVEN_POOLS ->
                            stress.with(even.getOrDefault(life.battery().type().code(), 0.0));
                        case COOLER_ROOM -> stress.cooler(KELVINS);
                        case WEEKLY_WATER -> stress.watered();
                        case FULL_CHARGES -> stress.chargedToTheEnd();
                        case IN_BREAKS -> stress.chargedInBreaks();
                    };
            other.add(life.under(now));
        }
        return other;
    }

    private static Line line(Life life, LocalDate today) {
        return new Line(
                life,
                in(today, life.forecast().likely()),
                in(today, life.forecast().quantile(0.1)),
                in(today, life.forecast().quantile(0.9)),
                life.money(),
                life.perKilowattHour(),
                life.eaten(),
                life.repair());
    }

    private static YearMonth in(LocalDate today, double years) {
        return YearMonth.from(today.plusDays(Math.round(years * 365.25)));
    }

    private static double most(Budget now, Budget other) {
        return Math.max(1, Math.max(now.mostOfAMonth(), other.mostOfAMonth()));
    }

    private static List<Bar> bars(Budget now, Budget other, YearMonth first, Words words) {
        double most = most(now, other);
        double each = (WIDTH - LEFT - 10) / MONTHS;
        List<Bar> bars = new ArrayList<>();
        for (int month = 0; month < MONTHS; month++) {
            double height = (FLOOR - 15) * now.months().get(month).money() / most;
            double otherHeight = (FLOOR - 15) * other.months().get(month).money() / most;
            bars.add(new Bar(
                    tenths(LEFT + month * each),
                    tenths(each * 0.75),
                    tenths(FLOOR - height),
                    tenths(height),
                    tenths(FLOOR - otherHeight),
                    tenths(otherHeight),
                    month % 6 == 0 ? words.month(first.plusMonths(month)) : ""));
        }
        return bars;
    }

    private static double tenths(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
