package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.quantity.Volts;

/** The voltages in a series battery, from post to post, with every cable in place. */
public final class ElectricalMap {
    /** Direct voltage that a body feels. Source: IEC 61140, limit of extra-low voltage under dry conditions. */
    public static final Volts TOUCH_LIMIT = Volts.of(60);

    private final BatteryModel model;

    public ElectricalMap(BatteryModel model) {
        this.model = model;
    }

    /**
     * What lies between two posts.
     *
     * @param voltage of the first against the second, at full charge; above zero when the first is nearer to the positive end
     * @param cells number of cells a tool across them would short
     * @param firstCell the first of these along the path, 0 for none
     * @param lastCell the last of these, 0 for none
     * @param amperes that would flow through the tool, as an order of size; 0 for none
     */
    public record Between(Volts voltage, int cells, int firstCell, int lastCell, int amperes) {
        /** @return whether both posts are the same metal: a tool across them does nothing */
        public boolean isSameMetal() {
            return cells == 0;
        }

        public boolean canBeFelt() {
            return Math.abs(voltage.millivolts()) > TOUCH_LIMIT.millivolts();
        }
    }

    /** @return all posts along the path, from the battery's positive one */
    public List<Post> posts() {
        List<Post> posts = new ArrayList<>();
        for (int place = 1; place <= model.layout().cases().size(); place++) {
            posts.add(new Post(place, true));
            posts.add(new Post(place, false));
        }
        return posts;
    }

    /** @throws IllegalArgumentException for a post the battery does not have */
    public Between between(Post one, Post other) {
        int above = cellsAbove(one);
        int below = cellsAbove(other);
        int cells = Math.abs(above - below);
        int first = Math.min(above, below);
        return new Between(
                Volts.of((below - above) * Potentials.VOLTS_PER_CELL),
                cells,
                cells == 0 ? 0 : first + 1,
                cells == 0 ? 0 : first + cells,
                cells == 0 ? 0 : (int) Math.round(model.capacity().ampHours() * Potentials.SHORT_CIRCUIT_FACTOR));
    }

    /** @return number of cells between the battery's positive post and this one */
    private int cellsAbove(Post post) {
        int cases = model.layout().cases().size();
        if (post.place() > cases) {
            throw new IllegalArgumentException("Post " + post.text() + " of a battery of " + cases + " cases");
        }
        return (post.positive() ? post.place() - 1 : post.place())
                * model.layout().cellsPerCase();
    }
}
