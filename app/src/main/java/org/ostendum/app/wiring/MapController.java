package org.ostendum.app.wiring;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.draw.Point;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.wiring.ElectricalMap;
import org.ostendum.core.wiring.Post;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The electrical map of a battery: two posts picked, the voltage between them and what a tool across them would do. */
@Controller
class MapController {
    private static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 480;

    MapController() {}

    /**
     * A post to pick.
     *
     * @param one and {@code other} the posts the map shows once this one is picked; null for none
     */
    record Pick(Post post, Point at, boolean picked, String one, @Nullable String other) {}

    @GetMapping("/batteries/{battery}/map")
    String map(Battery battery, @RequestParam @Nullable String a, @RequestParam @Nullable String b, Model page) {
        StoredModel type = battery.type();
        ElectricalMap map = new ElectricalMap(type.model());
        BatteryDrawing drawing = BatteryPlotter.plot(battery.layout(), type.cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT);
        @Nullable Post one = post(a, map);
        @Nullable Post other = one == null ? null : post(b, map);
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new MapView(
                        battery,
                        drawing,
                        picks(map, drawing, one, other),
                        one,
                        other,
                        one == null || other == null ? null : map.between(one, other)));
        return "wiring/map";
    }

    /** A post that is none is as good as none picked: the way on is to pick one. */
    private static @Nullable Post post(@Nullable String text, ElectricalMap map) {
        return map.posts().stream()
                .filter(p -> p.text().equals(text))
                .findFirst()
                .orElse(null);
    }

    private static List<Pick> picks(
            ElectricalMap map, BatteryDrawing drawing, @Nullable Post one, @Nullable Post other) {
        List<Pick> picks = new ArrayList<>();
        List<Post> posts = map.posts();
        for (int i = 0; i < posts.size(); i++) {
            Post post = posts.get(i);
            Post first = one == null || other != null || post.equals(one) ? post : one;
            picks.add(new Pick(
                    post,
                    drawing.posts().get(i).at(),
                    post.equals(one) || post.equals(other),
                    first.text(),
                    first.equals(post) ? null : post.text()));
        }
        return picks;
    }
}
