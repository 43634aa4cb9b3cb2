package org.ostendum.app.draw;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.gas.GasBudget;

/** Plots a gas budget: one layer for each battery, against the alarm and the stop. */
public final class GasPlotter {
    private static final double LEFT = 26;
    private static final double RIGHT = 70;
    private static final double TOP = 10;
    private static final double BOTTOM = 30;
    /** Layers thinner than a name are not named. */
    private static final double NAMED_FROM = 15;
    /** Where the alarm is in the picture, it lies so much under its top. */
    private static final double OVER_ALARM = 1.35;
    /** A peak below this part of the alarm would be a line on the floor: it is drawn larger, the alarm beyond a break. */
    private static final double LITTLE = 0.2;
    /** Height of a line beyond the break. */
    private static final double BEYOND = 22;

    private static final int HOURS_APART = 2;

    private final List<GasBudget.Moment> moments;
    private final Box plot;
    private final double most;
    private final List<Double> beyond;

    private GasPlotter(List<GasBudget.Moment> moments, double alarm, double stop, double width, double height) {
        this.moments = moments;
        this.plot = new Box(LEFT, TOP, width - LEFT - RIGHT, height - TOP - BOTTOM);
        double peak =
                moments.stream().mapToDouble(GasBudget.Moment::fraction).max().orElse(0);
        boolean little = peak < LITTLE * alarm;
        this.most = little ? Math.max(1e-6, 1.3 * peak) : Math.max(OVER_ALARM * alarm, 1.1 * peak);
        this.beyond = Stream.of(stop, alarm).filter(part -> part > most).toList();
    }

    /**
     * @param batteries names of the layers, one for each share of a moment
     * @param alarm part of the air, 0 to 1
     * @param stop likewise
     */
    public static GasDrawing plot(
            List<GasBudget.Moment> moments,
            List<String> batteries,
            double alarm,
            double stop,
            ZoneId zone,
            double width,
            double height) {
        GasPlotter plotter = new GasPlotter(moments, alarm, stop, width, height);
        return new GasDrawing(
                width,
                height,
                plotter.plot,
                plotter.layers(batteries),
                plotter.levels(alarm, stop),
                plotter.beyond.isEmpty() ? null : plotter.top() - BEYOND / 4,
                plotter.hours(zone));
    }

    private List<GasDrawing.Level> levels(double alarm, double stop) {
        List<GasDrawing.Level> levels = new ArrayList<>();
        for (double part : new double[] {stop, alarm}) {
            int above = beyond.indexOf(part);
            double y = above < 0 ? y(part) : plot.y() + BEYOND * (above + 0.6);
            levels.add(new GasDrawing.Level(y, word(part), true));
        }
        if (beyond.contains(alarm)) {
            levels.add(new GasDrawing.Level(y(round(most)), word(round(most)), false));
        }
        return levels;
    }

    /** @return the next lower part that is one, two or five with noughts */
    private static double round(double part) {
        double power = Math.pow(10, Math.floor(Math.log10(part)));
        double lead = part / power;
        return power * (lead >= 5 ? 5 : lead >= 2 ? 2 : 1);
    }

    private static String word(double part) {
        BigDecimal percent = BigDecimal.valueOf(100 * part).round(new MathContext(2));
        return percent.stripTrailingZeros().toPlainString() + " %";
    }

    /** Where the scale ends above. */
    private double top() {
        return plot.y() + BEYOND * beyond.size() * 1.25;
    }

    private List<GasDrawing.Layer> layers(List<String> batteries) {
        List<GasDrawing.Layer> layers = new ArrayList<>();
        double[] under = new double[moments.size()];
        for (int i = 0; i < batteries.size(); i++) {
            double[] over = under.clone();
            for (int m = 0; m < moments.size(); m++) {
                over[m] += moments.get(m).byBattery().get(i);
            }
            layers.add(layer(batteries.get(i), i, under, over));
            under = over;
        }
        return layers;
    }

    private GasDrawing.Layer layer(String battery, int index, double[] under, double[] over) {
        List<Point> there = new ArrayList<>();
        List<Point> back = new ArrayList<>();
        for (int m = 0; m < moments.size(); m++) {
            there.add(new Point(x(m), y(over[m])));
            back.add(new Point(x(m), y(under[m])));
        }
        Collections.reverse(back);
        there.addAll(back);
        return new GasDrawing.Layer(battery, index % 4, Strokes.polyline(there), label(under, over));
    }

    private @Nullable Point label(double[] under, double[] over) {
        int thickest = 0;
        for (int m = 1; m < over.length; m++) {
            if (over[m] - under[m] > over[thickest] - under[thickest]) {
                thickest = m;
            }
        }
        double thick = y(under[thickest]) - y(over[thickest]);
        return thick < NAMED_FROM ? null : new Point(x(thickest), y(over[thickest]) + thick / 2 + 5);
    }

    private double x(int moment) {
        return plot.x() + plot.width() * moment / Math.max(1, moments.size() - 1);
    }

    private double y(double part) {
        return plot.bottom() - (plot.bottom() - top()) * Math.min(1, part / most);
    }

    private List<GasDrawing.Hour> hours(ZoneId zone) {
        Instant first = moments.get(0).at();
        Duration step = Duration.between(first, moments.get(1).at());
        int each = (int) (Duration.ofHours(HOURS_APART).toSeconds() / step.toSeconds());
        List<GasDrawing.Hour> hours = new ArrayList<>();
        for (int m = 0; m < moments.size(); m += each) {
            String clock = DateTimeFormatter.ofPattern("HH:mm")
                    .format(moments.get(m).at().atZone(zone));
            hours.add(new GasDrawing.Hour(x(m), clock));
        }
        return hours;
    }
}
