package org.ostendum.app.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.LayoutText;

class BatteryPlotterTest {
    private static final String LAYOUTS =
            """
            1 2 3/6 5 4, 1
            1 2 3 4 5 6/12 11 10 9 8 7/13 14 15 16 17 18, 1
            6 5 4 3 2 1/7 8 9 10 11 12/18 17 16 15 14 13/19 20 21 22 23 24, 1
            1 4 5 8/2 3 6 7, 1
            1> 2> 3>/6< 5< 4<, 4
            1> 2>/4< 3<, 6
            1> 2> 3>/6< 5< 4<, 3
            """;

    private static BatteryDrawing plot(String text, int cellsPerCase) {
        CellLayout layout = LayoutText.parse(text, cellsPerCase);
        return BatteryPlotter.plot(layout, false, 840, 400);
    }

    @ParameterizedTest
    @CsvSource(textBlock = LAYOUTS)
    void cellsLieInTheTrayAndDoNotOverlap(String text, int cellsPerCase) {
        BatteryDrawing drawing = plot(text, cellsPerCase);
        List<CellBox> cells = drawing.cells();
        for (CellBox cell : cells) {
            assertThat(drawing.tray().x()).isLessThanOrEqualTo(cell.box().x() + 0.15);
            assertThat(drawing.tray().right()).isGreaterThanOrEqualTo(cell.box().right());
            assertThat(drawing.tray().bottom())
                    .isGreaterThanOrEqualTo(cell.box().bottom());
            for (CellBox other : cells) {
                assertThat(cell == other || apart(cell.box(), other.box()))
                        .as("%s and %s", cell, other)
                        .isTrue();
            }
        }
        assertThat(drawing.width()).isLessThanOrEqualTo(840.5);
    }

    private static boolean apart(Box a, Box b) {
        double slack = 0.15;
        return a.right() <= b.x() + slack
                || b.right() <= a.x() + slack
                || a.bottom() <= b.y() + slack
                || b.bottom() <= a.y() + slack;
    }

    @ParameterizedTest
    @CsvSource(textBlock = LAYOUTS)
    void everyCaseHasItsTwoPostsAndTheCurrentAlternates(String text, int cellsPerCase) {
        BatteryDrawing drawing = plot(text, cellsPerCase);
        int cases = drawing.cells().size() / cellsPerCase;
        assertThat(drawing.posts()).hasSize(2 * cases);
        for (int i = 0; i < drawing.posts().size(); i++) {
            assertThat(drawing.posts().get(i).positive()).isEqualTo(i % 2 == 0);
        }
        assertThat(drawing.straps()).hasSize(cases - 1);
    }

    @ParameterizedTest
    @CsvSource(textBlock = LAYOUTS)
    void noPostStandsOnAnother(String text, int cellsPerCase) {
        List<Post> posts = plot(text, cellsPerCase).posts();
        for (Post post : posts) {
            assertThat(posts.stream().filter(other -> distance(post.at(), other.at()) < 15))
                    .as("%s", post)
                    .containsExactly(post);
        }
    }

    private static double distance(Point a, Point b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y());
    }

    /** The sketches' fault: figures must stand clear of posts and straps. */
    @ParameterizedTest
    @CsvSource(textBlock = LAYOUTS)
    void postsAndStrapsStandClearOfFigures(String text, int cellsPerCase) {
        BatteryDrawing drawing = plot(text, cellsPerCase);
        List<Box> figures = drawing.cells().stream()
                .map(cell -> figure(cell, drawing.figureSize()))
                .toList();
        for (Post post : drawing.posts()) {
            assertThat(figures).as("post %s", post).noneMatch(figure -> figure.contains(post.at()));
        }
        for (List<Point> strap : drawing.straps()) {
            assertThat(figures).as("strap %s", strap).noneMatch(figure -> crosses(strap, figure));
        }
    }

    /** Five condensed figures, about half as wide as high each, their base line 0.31 of their size below the middle. */
    private static Box figure(CellBox cell, double size) {
        double width = size * 2.3;
        double base = cell.box().middleY() + size * 0.31;
        return new Box(cell.box().middleX() - width / 2, base - size * 0.75, width, size * 0.75);
    }

    private static boolean crosses(List<Point> corners, Box box) {
        for (int i = 1; i < corners.size(); i++) {
            Point a = corners.get(i - 1);
            Point b = corners.get(i);
            for (int step = 0; step <= 200; step++) {
                double share = step / 200.0;
                if (box.contains(new Point(a.x() + (b.x() - a.x()) * share, a.y() + (b.y() - a.y()) * share))) {
                    return true;
                }
            }
        }
        return false;
    }
}
