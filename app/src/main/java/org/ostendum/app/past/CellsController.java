package org.ostendum.app.past;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Spark;
import org.ostendum.app.draw.SparkPlotter;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.history.CellPast;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Every cell of a battery with its own past: those that are in it, and those that went out. */
@Controller
class CellsController {
    private final BatteryStates batteryStates;

    CellsController(BatteryStates batteryStates) {
        this.batteryStates = batteryStates;
    }

    /** A cell and its course beside that of its battery's middle cell; null before the second round. */
    public record CellLine(CellPast past, int block, @Nullable Spark spark) {}

    @GetMapping("/batteries/{battery}/cells")
    String cells(Battery battery, Model page) {
        List<CellLine> lines = batteryStates.cellPasts(battery).stream()
                .map(past -> line(battery, past))
                .toList();
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("inIt", lines.stream().filter(l -> l.past().isIn()).toList());
        page.addAttribute("gone", lines.stream().filter(l -> !l.past().isIn()).toList());
        return "past/cells";
    }

    private static CellLine line(Battery battery, CellPast past) {
        var model = battery.type().model();
        int perBlock = model.layout().cellsPerCase();
        return new CellLine(
                past, (past.position() - 1) / perBlock + 1, SparkPlotter.plot(past.course(), model.marks()));
    }
}
