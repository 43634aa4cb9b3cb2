package org.ostendum.app.wiring;

import java.util.Arrays;
import java.util.List;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.photo.Photos;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Wiring;
import org.ostendum.core.wiring.WorkOrder;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of a pack, as it is asked for and as any of its forms comes back to it. */
@Component
class PackPages {
    private final Packs packs;
    private final TapViews taps;
    private final BadBlocks badBlocks;
    private final CableHistory cables;
    private final Photos photos;

    PackPages(Packs packs, TapViews taps, BadBlocks badBlocks, CableHistory cables, Photos photos) {
        this.packs = packs;
        this.taps = taps;
        this.badBlocks = badBlocks;
        this.cables = cables;
        this.photos = photos;
    }

    static List<WorkOrder> orders(Battery battery, Pack pack, boolean together) {
        AmpHours capacity = battery.type().model().capacity();
        return Arrays.stream(School.values())
                .map(s -> together ? WorkOrder.together(pack, s, capacity) : WorkOrder.apart(pack, s, capacity))
                .toList();
    }

    /** @return the order of a school; the last for a name that is none */
    static WorkOrder chosen(List<WorkOrder> orders, String school) {
        return orders.stream()
                .filter(order -> order.school().name().equals(school))
                .findFirst()
                .orElse(orders.get(orders.size() - 1));
    }

    String show(Battery battery, String school, boolean together, TypedForm form, Model page) {
        Pack pack = packs.of(battery).orElseThrow(() -> new NotFound("pack of " + battery.code()));
        List<WorkOrder> orders = orders(battery, pack, together);
        page.addAttribute("place", "fleet");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "view",
                new PackView(
                        battery,
                        pack,
                        WiringDrawing.of(Wiring.whole(pack), battery.type().cablesLeft(), null),
                        together,
                        orders,
                        chosen(orders, school),
                        packs.cableNotes(battery.id()),
                        photos.ofJobs(battery.id(), PackSteps.PROCEDURES),
                        cables.of(battery),
                        badBlocks.of(battery, pack),
                        taps.of(battery, pack)));
        return "wiring/pack";
    }

    /** With a form that was refused, and the order that is least to the hands. */
    String show(Battery battery, TypedForm refused, Model page) {
        return show(battery, School.LEAST.name(), false, refused, page);
    }
}
