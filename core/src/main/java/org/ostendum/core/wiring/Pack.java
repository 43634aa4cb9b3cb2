package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.battery.CellLayout;

/**
 * The wiring of a pack as it is meant to be: every cable from post to post. The drawing to which what lies on the bench is compared.
 *
 * @param layout whose blocks the current passes in their order
 * @param taps none for most
 * @param fittings switches, fuses, sense leads and shrouds
 * @param cables main leads, links, leads of taps and sense leads
 */
public record Pack(CellLayout layout, List<Tap> taps, List<Fitting> fittings, List<Cable> cables) {
    public Pack {
        taps = List.copyOf(taps);
        fittings = List.copyOf(fittings);
        cables = List.copyOf(cables);
    }

    /** The pack of a layout, its cables numbered from the positive end. */
    public static Pack of(CellLayout layout, List<Tap> taps) {
        return of(layout, taps, List.of());
    }

    /** The same with what else sits on it. */
    public static Pack of(CellLayout layout, List<Tap> taps, List<Fitting> fittings) {
        int blocks = layout.cases().size();
        List<Cable> cables = new ArrayList<>();
        cables.add(new Cable("M+", Cable.Kind.MAIN, Post.PLUG_PLUS, new Post(1, true)));
        for (int block = 1; block < blocks; block++) {
            cables.add(new Cable(
                    String.valueOf(block), Cable.Kind.LINK, new Post(block, false), new Post(block + 1, true)));
        }
        cables.add(new Cable("M-", Cable.Kind.MAIN, new Post(blocks, false), Post.PLUG_MINUS));
        for (int i = 0; i < taps.size(); i++) {
            Tap tap = taps.get(i);
            if (tap.last() > blocks) {
                throw new IllegalArgumentException("A tap at block " + tap.last() + " of " + blocks);
            }
            cables.add(new Cable("T" + (i + 1) + "+", Cable.Kind.TAP, new Post(tap.first(), true), null));
            cables.add(new Cable("T" + (i + 1) + "-", Cable.Kind.TAP, new Post(tap.last(), false), null));
        }
        int senses = 0;
        for (Fitting fitting : fittings) {
            if (fitting.kind() == Fitting.Kind.SENSE_LEAD) {
                senses++;
                cables.add(new Cable("S" + senses, Cable.Kind.SENSE, Post.parse(fitting.at()), null));
            }
        }
        return new Pack(layout, taps, fittings, cables);
    }

    /** @return the cable that the main switch sits in */
    public Optional<Cable> switched() {
        return fittings.stream()
                .filter(fitting -> fitting.kind() == Fitting.Kind.MAIN_SWITCH)
                .findFirst()
                .flatMap(fitting -> cable(fitting.at()));
    }

    /** @return whether so many more leads can be drawn and still be put in order */
    public boolean takesLeads(int more) {
        return cables.size() + more <= WorkOrder.MOST_CABLES;
    }

    public boolean isShrouded(Post post) {
        return fittings.stream().anyMatch(fitting -> fitting.is(Fitting.Kind.SHROUD, post.text()));
    }

    public int blocks() {
        return layout.cases().size();
    }

    public Optional<Cable> cable(String number) {
        return cables.stream().filter(cable -> cable.number().equals(number)).findFirst();
    }
}
