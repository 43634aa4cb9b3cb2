package org.ostendum.app.draw;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.storage.Outlook;

/**
 * The gravity of a battery that stands, day by day against what would freeze, ready to be put into SVG.
 *
 * @param likely line of the gravity that is likely
 * @param least line of what 99 of 100 still have
 * @param frost the field under the gravity at which it would freeze
 * @param today where today lies; null where it is off the drawing
 * @param latest where the latest charge lies; null for none
 */
public record OutlookDrawing(
        String likely,
        String least,
        String frost,
        @Nullable Double today,
        @Nullable Double latest,
        List<Tick> months,
        List<Tick> gravities) {
    public static final int WIDTH = 420;
    public static final int HEIGHT = 130;
    private static final double LEFT = 44;
    private static final double BOTTOM = 20;
    private static final int DAYS = 240;
    private static final double MOST = 1300;
    private static final double LEAST = 1050;
    private static final int STEP = 4;

    /** A mark on an axis. */
    public record Tick(double at, String label) {}

    public static OutlookDrawing of(Outlook outlook, LocalDate today) {
        List<Outlook.Day> days = outlook.days().subList(0, DAYS);
        LocalDate first = days.get(0).date();
        List<Point> likely = new ArrayList<>();
        List<Point> least = new ArrayList<>();
        List<Point> frost = new ArrayList<>();
        List<Tick> months = new ArrayList<>();
        frost.add(new Point(x(0), HEIGHT - BOTTOM));
        for (int n = 0; n < DAYS; n++) {
            Outlook.Day day = days.get(n);
            if (n % STEP == 0 || n == DAYS - 1) {
                likely.add(new Point(x(n), y(day.likely())));
                least.add(new Point(x(n), y(day.least())));
                frost.add(new Point(x(n), y(day.freezes())));
            }
            if (day.date().getDayOfMonth() == 1) {
                months.add(new Tick(x(n), day.date().getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH)));
            }
        }
        frost.add(new Point(x(DAYS - 1), HEIGHT - BOTTOM));
        List<Tick> gravities = new ArrayList<>();
        for (int points : new int[] {1100, 1200, 1300}) {
            gravities.add(new Tick(y(points), String.format(Locale.ROOT, "%.3f", points / 1000.0)));
        }
        return new OutlookDrawing(
                Strokes.polyline(likely),
                Strokes.polyline(least),
                Strokes.polyline(frost),
                on(first, today),
                outlook.latest() == null ? null : on(first, outlook.latest()),
                months,
                gravities);
    }

    private static @Nullable Double on(LocalDate first, LocalDate day) {
        long n = day.toEpochDay() - first.toEpochDay();
        return n < 0 || n >= DAYS ? null : (Double) x((double) n);
    }

    private static double x(double day) {
        return LEFT + (WIDTH - LEFT - 8) * day / DAYS;
    }

    private static double y(double points) {
        double part = (Math.max(LEAST, Math.min(MOST, points)) - LEAST) / (MOST - LEAST);
        return Math.round(10 * (HEIGHT - BOTTOM - part * (HEIGHT - BOTTOM - 10))) / 10.0;
    }
}
