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
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Wiring;
import org.ostendum.core.wiring.WorkOrder;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of a pack, as it is asked for and as any of its forms comes back to it. */
@Component
class PackView {
    private final Packs packs;
    private final TapViews taps;
    private final BadBlocks badBlocks;
    private final CableHistory cables;
    private final Photos photos;

    PackView(Packs packs, TapViews taps, BadBlocks badBlocks, CableHistory cables, Photos photos) {
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
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("pack", pack);
        page.addAttribute("fittings", pack.fittings());
        page.addAttribute("possible", Fitting.possible(pack));
        page.addAttribute("own", battery.hasOwnLayout());
        page.addAttribute("notes", packs.cableNotes(battery.id()));
        page.addAttribute("pictures", photos.ofJobs(battery.id(), PackSteps.PROCEDURES));
        page.addAttribute("cables", cables.of(battery));
        page.addAttribute("bad", badBlocks.of(battery, pack));
        page.addAttribute("taps", taps.of(battery, pack));
        page.addAttribute("together", together);
        page.addAttribute(
                "drawing", WiringDrawing.of(Wiring.whole(pack), battery.type().cablesLeft(), null));
        List<WorkOrder> orders = orders(battery, pack, together);
        page.addAttribute("orders", orders);
        page.addAttribute("order", chosen(orders, school));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "wiring/pack";
    }

    /** With a form that was refused, and the order that is least to the hands. */
    String show(Battery battery, TypedForm refused, Model page) {
        return show(battery, School.LEAST.name(), false, refused, page);
    }
}
