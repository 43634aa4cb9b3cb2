package org.ostendum.app.change;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.change.LiftMeasures.Hoist;
import org.ostendum.app.change.LiftMeasures.Tier;
import org.ostendum.app.form.TypedForm;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.change.Beam;

/** The sheet of all measures of a site: which fields it has, what stands in them, and what was typed into them. */
final class LiftSheet {
    static final String FIRST = "first-";
    static final String STEP = "step-";
    static final String NOTCHES = "notches-";
    static final String CHAIN = "chain-";
    static final String LIMIT = "limit-";
    static final String EYES = "eyes-";
    static final String MACHINE = "machine-";
    static final String STAND = "stand-";
    static final String SIZE = "size-";
    static final String BAY = "bay-";

    static final int EYES_LEAST = 150;
    static final int EYES_MOST = 2500;
    private static final int LOWEST = 50;
    private static final int HIGHEST = 3000;

    private final List<Line> hoists;
    private final List<Line> models;
    private final List<Line> machines;
    private final List<TierLine> tiers;

    /** What is measured: a changer, a model, a machine. */
    record Line(long id, String name) {}

    /** A tier of a stand that has rollers or may have. */
    record TierLine(Tier tier, String name) {
        public String field() {
            return STAND + tier.stand() + "-" + tier.tier();
        }
    }

    LiftSheet(List<Line> hoists, List<Line> models, List<Line> machines, List<TierLine> tiers) {
        this.hoists = List.copyOf(hoists);
        this.models = List.copyOf(models);
        this.machines = List.copyOf(machines);
        this.tiers = List.copyOf(tiers);
    }

    public List<Line> hoists() {
        return hoists;
    }

    public List<Line> models() {
        return models;
    }

    public List<Line> machines() {
        return machines;
    }

    public List<TierLine> tiers() {
        return tiers;
    }

    /** @return what stands on record, by field */
    static Map<String, String> standing(LiftMeasures.All all) {
        Map<String, String> fields = new HashMap<>();
        all.hoists().forEach((id, hoist) -> {
            fields.put(FIRST + id, String.valueOf(hoist.beam().firstMillimetres()));
            fields.put(STEP + id, String.valueOf(hoist.beam().stepMillimetres()));
            fields.put(NOTCHES + id, String.valueOf(hoist.beam().notches()));
            fields.put(CHAIN + id, String.valueOf(hoist.beam().chainMillimetres()));
            fields.put(LIMIT + id, hoist.limitKilograms() == null ? "" : String.valueOf(hoist.limitKilograms()));
        });
        all.eyes().forEach((id, mm) -> fields.put(EYES + id, String.valueOf(mm)));
        all.machines().forEach((id, mm) -> fields.put(MACHINE + id, String.valueOf(mm)));
        all.models().forEach((id, size) -> fields.put(SIZE + id, size.text()));
        all.bays().forEach((id, size) -> fields.put(BAY + id, size.text()));
        all.tiers().forEach((tier, mm) -> fields.put(new TierLine(tier, "").field(), String.valueOf(mm)));
        return fields;
    }

    /** @return by which a change of what somebody else has changed meanwhile is known */
    static String seen(Map<String, String> standing) {
        return String.valueOf(standing.hashCode());
    }

    /** Tells at each field that says otherwise now what another person has written there meanwhile. */
    static void clash(TypedForm form, Map<String, String> standing) {
        standing.forEach((field, theirs) -> {
            if (!form.get(field).equals(theirs)) {
                form.fault(field, "fault.clash", theirs);
            }
        });
    }

    /** @return what was typed, where the form is sound; each fault is told at its field */
    LiftMeasures.All typed(TypedForm form) {
        Map<Tier, Integer> heights = new HashMap<>();
        for (TierLine line : tiers) {
            whole(form, line.field(), LOWEST, HIGHEST).ifPresent(mm -> heights.put(line.tier(), mm));
        }
        return new LiftMeasures.All(
                beams(form),
                wholes(form, models, EYES, EYES_LEAST, EYES_MOST),
                wholes(form, machines, MACHINE, LOWEST, HIGHEST),
                heights,
                sizes(form, models, SIZE),
                sizes(form, machines, BAY));
    }

    private Map<Long, Hoist> beams(TypedForm form) {
        List<Long> said = new ArrayList<>();
        for (Line line : hoists) {
            if (Stream.of(FIRST, STEP, NOTCHES, CHAIN, LIMIT)
                    .anyMatch(field -> !form.get(field + line.id()).isEmpty())) {
                said.add(line.id());
            }
        }
        return said.stream().collect(Collectors.toMap(id -> id, id -> beam(form, id)));
    }

    /** A beam is known whole or not at all; what is stamped on it may be unknown. */
    private static Hoist beam(TypedForm form, long id) {
        Beam beam = new Beam(
                form.whole(FIRST + id, 0, 1250),
                form.whole(STEP + id, 10, 500),
                form.whole(NOTCHES + id, 1, 60),
                form.whole(CHAIN + id, 100, 3000));
        @Nullable Integer limit = whole(form, LIMIT + id, 50, 9000).orElse(null);
        return new Hoist(beam, limit);
    }

    private static Map<Long, Integer> wholes(TypedForm form, List<Line> lines, String field, int least, int most) {
        Map<Long, Integer> typed = new HashMap<>();
        for (Line line : lines) {
            whole(form, field + line.id(), least, most).ifPresent(mm -> typed.put(line.id(), mm));
        }
        return typed;
    }

    private static Map<Long, CaseSize> sizes(TypedForm form, List<Line> lines, String field) {
        Map<Long, CaseSize> typed = new HashMap<>();
        for (Line line : lines) {
            String text = form.get(field + line.id());
            Optional<CaseSize> size = CaseSize.parse(text);
            size.ifPresent(known -> typed.put(line.id(), known));
            if (size.isEmpty() && !text.isEmpty()) {
                form.fault(field + line.id(), "lift.fault.size", text, CaseSize.LEAST, CaseSize.MOST);
            }
        }
        return typed;
    }

    private static Optional<Integer> whole(TypedForm form, String field, int least, int most) {
        return form.get(field).isEmpty() ? Optional.empty() : Optional.of(form.whole(field, least, most));
    }
}
