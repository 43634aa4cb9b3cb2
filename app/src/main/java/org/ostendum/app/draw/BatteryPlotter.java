package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.battery.CasePlace;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.Facing;

/** Works out where everything of a battery's drawing goes: cells in the tray's real order, posts, straps and cables. */
public final class BatteryPlotter {
    /** Room around the tray for the cables. */
    private static final double MARGIN = 40;

    private static final double WALL = 12;
    private static final double CELL_GAP = 4;
    /** Blocks stand apart, so that cables between rows can run beside them and not over figures. */
    private static final double BLOCK_GAP = 26;
    /** Strip along the front edge of a case in which its posts stand, clear of figures. */
    private static final double POST_STRIP = 26;

    private static final double POST_INSET = 15;
    private static final double LARGEST_CELL = 150;
    private static final double SMALLEST_ROW = 74;

    private final CellLayout layout;
    private final double gap;
    private final double caseWidth;
    private final double caseHeight;

    private BatteryPlotter(CellLayout layout, double width, double height) {
        this.layout = layout;
        this.gap = layout.isPack() ? BLOCK_GAP : CELL_GAP;
        double innerWidth = width - 2 * MARGIN - 2 * WALL - (layout.columns() - 1) * gap;
        double innerHeight = height - 2 * MARGIN - 2 * WALL - (layout.rows() - 1) * gap;
        int cellsAcross = layout.cases().get(0).facing().isSideways() ? layout.cellsPerCase() : 1;
        this.caseWidth = Math.min(innerWidth / layout.columns(), LARGEST_CELL * cellsAcross);
        this.caseHeight = Math.max(SMALLEST_ROW, Math.min(innerHeight / layout.rows(), LARGEST_CELL));
    }

    /**
     * @param cablesLeft whether the cables leave at the left hand
     * @param width of the drawing to fill
     * @param height of the drawing to fill at most; many rows may need more
     */
    public static BatteryDrawing plot(CellLayout layout, boolean cablesLeft, double width, double height) {
        return new BatteryPlotter(layout, width, height).plot(cablesLeft);
    }

    private BatteryDrawing plot(boolean cablesLeft) {
        List<CellBox> cells = new ArrayList<>();
        List<Box> cases = new ArrayList<>();
        List<Post> posts = new ArrayList<>();
        for (CasePlace place : layout.cases()) {
            Box box = caseBox(place);
            cases.add(box);
            cells.addAll(cells(place, box));
        }
        List<List<Point>> straps = new ArrayList<>();
        Post first = new Post(firstPost(), true);
        posts.add(first);
        for (int i = 1; i < layout.cases().size(); i++) {
            List<Point> strap = strap(layout.cases().get(i - 1), layout.cases().get(i));
            straps.add(strap);
            posts.add(new Post(strap.get(0), false));
            posts.add(new Post(strap.get(strap.size() - 1), true));
        }
        Post last = new Post(lastPost(), false);
        posts.add(last);
        Box tray = tray();
        Box connector = connector(tray, cablesLeft);
        return new BatteryDrawing(
                tray.right() + MARGIN,
                tray.bottom() + MARGIN,
                tray,
                layout.isPack() ? cases : List.of(),
                cells,
                figureSize(cells.get(0).box()),
                posts,
                straps,
                Strokes.polyline(cable(first.at(), tray, connector, true)),
                Strokes.polyline(cable(last.at(), tray, connector, false)),
                connector);
    }

    private Box tray() {
        return new Box(
                MARGIN,
                MARGIN,
                2 * WALL + layout.columns() * caseWidth + (layout.columns() - 1) * gap,
                2 * WALL + layout.rows() * caseHeight + (layout.rows() - 1) * gap);
    }

    private Box caseBox(CasePlace place) {
        return new Box(
                MARGIN + WALL + place.column() * (caseWidth + gap),
                MARGIN + WALL + place.row() * (caseHeight + gap),
                caseWidth,
                caseHeight);
    }

    private List<CellBox> cells(CasePlace place, Box box) {
        int count = layout.cellsPerCase();
        List<CellBox> cells = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int cell = (place.number() - 1) * count + i + 1;
            cells.add(new CellBox(cell, part(box, place.facing(), i, count)));
        }
        return cells;
    }

    /** The i-th cell from the positive end of a block. */
    private static Box part(Box box, Facing facing, int i, int count) {
        int step = facing == Facing.RIGHT || facing == Facing.FRONT ? i : count - 1 - i;
        return facing.isSideways()
                ? new Box(box.x() + step * box.width() / count, box.y(), box.width() / count, box.height())
                : new Box(box.x(), box.y() + step * box.height() / count, box.width(), box.height() / count);
    }

    /** As large as five figures may be between the cell's number above and its posts below. */
    private static double figureSize(Box cell) {
        return Math.round(Math.min(30, Math.min(cell.width() / 2.75, (cell.height() - POST_STRIP) * 0.52)));
    }

    private Point positivePost(CasePlace place) {
        return post(place, place.facing());
    }

    private Point negativePost(CasePlace place) {
        return post(place, opposite(place.facing()));
    }

    /** The post at the end of the case from which {@code facing} looks away. */
    private Point post(CasePlace place, Facing facing) {
        Box box = caseBox(place);
        double front = box.bottom() - POST_INSET;
        return switch (facing) {
            case RIGHT -> new Point(box.x() + POST_INSET, front);
            case LEFT -> new Point(box.right() - POST_INSET, front);
            case FRONT -> new Point(box.x() + POST_INSET, box.y() + POST_INSET);
            case BACK -> new Point(box.x() + POST_INSET, front);
        };
    }

    private static Facing opposite(Facing facing) {
        return switch (facing) {
            case RIGHT -> Facing.LEFT;
            case LEFT -> Facing.RIGHT;
            case FRONT -> Facing.BACK;
            case BACK -> Facing.FRONT;
        };
    }

    private Point firstPost() {
        CasePlace first = layout.cases().get(0);
        return layout.isPack() ? positivePost(first) : outerPost(first);
    }

    private Point lastPost() {
        CasePlace last = layout.cases().get(layout.cases().size() - 1);
        return layout.isPack() ? negativePost(last) : outerPost(last);
    }

    /** The end post of a tray stands at the side of its cell that is nearer to the outside. */
    private Point outerPost(CasePlace place) {
        Box box = caseBox(place);
        return new Point(isLeft(place) ? box.x() + POST_INSET : box.right() - POST_INSET, box.bottom() - POST_INSET);
    }

    /**
     * Whether a strap joins one of the end cells, whose outer side the end post takes. Others turn away from the post
     * by which the path came in; at the left hand in the middle, since the cell's number stands in the corner.
     */
    private boolean isEnd(CasePlace from, CasePlace to) {
        return from.number() == 1 || to.number() == layout.cases().size();
    }

    private boolean isLeft(CasePlace place) {
        return place.column() < layout.columns() / 2.0;
    }

    private List<Point> strap(CasePlace from, CasePlace to) {
        return layout.isPack() ? cableBetween(from, to) : strapBetween(from, to);
    }

    /** A strap bridges the edge two neighbouring cells share; it stays clear of figures and of the cells' numbers. */
    private List<Point> strapBetween(CasePlace from, CasePlace to) {
        Box a = caseBox(from);
        Box b = caseBox(to);
        if (from.row() == to.row() && Math.abs(from.column() - to.column()) == 1) {
            double y = a.bottom() - POST_INSET;
            return from.column() < to.column()
                    ? List.of(new Point(a.right() - POST_INSET, y), new Point(b.x() + POST_INSET, y))
                    : List.of(new Point(a.x() + POST_INSET, y), new Point(b.right() - POST_INSET, y));
        }
        if (from.column() == to.column() && Math.abs(from.row() - to.row()) == 1) {
            double x = isLeft(from) == isEnd(from, to) ? a.right() - POST_INSET : a.middleX();
            return from.row() < to.row()
                    ? List.of(new Point(x, a.bottom() - POST_INSET), new Point(x, b.y() + POST_INSET))
                    : List.of(new Point(x, a.y() + POST_INSET), new Point(x, b.bottom() - POST_INSET));
        }
        return List.of(
                new Point(a.middleX(), a.bottom() - POST_INSET), new Point(b.middleX(), b.bottom() - POST_INSET));
    }

    /** A cable between blocks: straight along a row, else through the lane beside the column. */
    private List<Point> cableBetween(CasePlace from, CasePlace to) {
        Point a = negativePost(from);
        Point b = positivePost(to);
        if (from.row() == to.row() && a.y() == b.y()) {
            return List.of(a, b);
        }
        Box box = caseBox(from);
        boolean right = a.x() > box.middleX();
        double lane = right ? box.right() + BLOCK_GAP / 2 : box.x() - BLOCK_GAP / 2;
        return List.of(a, new Point(lane, a.y()), new Point(lane, b.y()), b);
    }

    private static Box connector(Box tray, boolean cablesLeft) {
        double x = cablesLeft ? tray.x() - MARGIN + 4 : tray.right() + MARGIN - 26;
        return new Box(x, tray.middleY() - 22, 22, 44);
    }

    /** The positive cable goes round by the back of the tray, the negative one by the front. */
    private List<Point> cable(Point post, Box tray, Box connector, boolean positive) {
        boolean connectorLeft = connector.middleX() < tray.x();
        boolean postLeft = post.x() < tray.middleX();
        double plugY = positive ? connector.y() + 11 : connector.bottom() - 11;
        double laneX = connectorLeft ? tray.x() - 10 : tray.right() + 10;
        if (postLeft == connectorLeft) {
            return List.of(
                    post, new Point(laneX, post.y()), new Point(laneX, plugY), new Point(connector.middleX(), plugY));
        }
        double sideX = postLeft ? tray.x() - 10 : tray.right() + 10;
        double laneY = positive ? tray.y() - 14 : tray.bottom() + 14;
        return List.of(
                post,
                new Point(sideX, post.y()),
                new Point(sideX, laneY),
                new Point(laneX, laneY),
                new Point(laneX, plugY),
                new Point(connector.middleX(), plugY));
    }
}
