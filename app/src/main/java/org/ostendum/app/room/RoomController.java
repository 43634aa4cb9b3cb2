package org.ostendum.app.room;

import java.util.List;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.words.Words;
import org.ostendum.core.room.RoomPlan;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The room: where everything stands and what is to be done next. */
@Controller
class RoomController {
    /** Things told beside the plan; the fleet's page has them all. */
    private static final int THINGS_TOLD = 6;

    private final Rooms rooms;
    private final RoomViews views;

    RoomController(Rooms rooms, RoomViews views) {
        this.rooms = rooms;
        this.views = views;
    }

    @GetMapping("/")
    String home() {
        List<Rooms.RoomName> names = rooms.names();
        return names.isEmpty() ? "room/none" : "redirect:/rooms/" + names.get(0).code();
    }

    @GetMapping("/rooms/{room}")
    String room(RoomPlan room, Words words, Model page) {
        RoomViews.RoomView view = views.view(room, words);
        page.addAttribute("place", "room");
        page.addAttribute("view", view);
        page.addAttribute("rooms", rooms.names());
        page.addAttribute(
                "listed", view.things().stream().skip(1).limit(THINGS_TOLD - 1).toList());
        page.addAttribute("unlisted", Math.max(0, view.things().size() - THINGS_TOLD));
        return "room/room";
    }
}
