package org.ostendum.app.wiring;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Box;
import org.ostendum.app.draw.Post;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.draw.WiringDrawing.BlockBox;
import org.ostendum.app.draw.WiringDrawing.CableLine;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs.CableNote;
import org.ostendum.app.page.Paper;
import org.ostendum.app.procedure.StepText;
import org.ostendum.app.words.Words;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Wiring;
import org.ostendum.core.wiring.WorkOrder;

/** A pack on a sheet to hang up beside the machine: the drawing, every cable with a box to tick, what is still live. */
final class PackSheet {
    private static final float CABLE = 2.2f;
    /** A post's sign stands above it. */
    private static final double ABOVE = 14;

    private PackSheet() {}

    /**
     * @param notes what is known of single cables, by their numbers
     * @param together whether it is put together, not taken apart
     */
    static byte[] of(
            Battery battery, Pack pack, WorkOrder order, Map<String, CableNote> notes, boolean together, Words words)
            throws IOException {
        String where = battery.machineCode() == null ? "" : " · " + battery.machineCode();
        try (Paper paper = new Paper(words.text("pack.title", battery.code()) + where)) {
            paper.text(words.text(
                    "pack.head",
                    pack.blocks(),
                    words.volts(order.start().voltage()),
                    order.start().amperes()));
            WiringDrawing drawing =
                    WiringDrawing.of(Wiring.whole(pack), battery.type().cablesLeft(), null);
            paper.drawing(drawing.ground().width(), drawing.ground().height(), sketch -> draw(drawing, sketch));
            paper.text(words.text("pack.sheet.note"));
            paper.heading(words.text(together ? "pack.steps.on" : "pack.steps.off", words.name(order.school())));
            if (!together) {
                tick(paper, FittingSteps.off(pack));
            }
            int number = 0;
            for (WorkOrder.Step step : order.steps()) {
                number++;
                paper.toTick(line(number, step, notes.get(step.cable().number()), together, words));
            }
            if (together) {
                tick(paper, FittingSteps.on(pack));
            }
            paper.text(words.text("pack.sheet.bag", order.steps().size()));
            paper.heading(words.text("pack.sheet.care"));
            paper.text(words.text("pack.why"));
            paper.text(words.text("map.care"));
            return paper.finished();
        }
    }

    private static void tick(Paper paper, List<StepText> steps) throws IOException {
        for (StepText step : steps) {
            paper.toTick(step.text());
        }
    }

    private static String line(
            int number, WorkOrder.Step step, @Nullable CableNote note, boolean together, Words words) {
        String line = words.text(
                "pack.sheet.step",
                number,
                step.cable().number(),
                PackSteps.where(step.cable()),
                words.volts(step.before().voltage()),
                words.volts(step.after().voltage()));
        String shrouds = words.phrase(together ? FittingSteps.covered(step) : FittingSteps.lifted(step));
        return note == null ? line + shrouds : line + " " + known(note) + shrouds;
    }

    private static String known(CableNote note) {
        String length = note.lengthCm() == null ? "" : note.lengthCm() + " cm ";
        return ("(" + length + note.lug() + " " + note.remark()).strip() + ")";
    }

    private static void draw(WiringDrawing drawing, Paper.Sketch sketch) throws IOException {
        for (BlockBox block : drawing.blocks()) {
            Box box = block.box();
            sketch.box(box.x(), box.y(), box.width(), box.height());
            sketch.figure(box.middleX(), box.middleY(), String.valueOf(block.number()));
        }
        for (CableLine cable : drawing.cables()) {
            sketch.line(cable.points(), CABLE);
            sketch.label(cable.label().x(), cable.label().y(), cable.number());
        }
        for (Post post : drawing.ground().posts()) {
            sketch.figure(post.at().x(), post.at().y() - ABOVE, post.positive() ? "+" : "-");
        }
    }
}
