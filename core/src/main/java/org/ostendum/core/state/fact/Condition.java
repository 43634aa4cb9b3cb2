package org.ostendum.core.state.fact;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Arrived;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Commissioned;
import org.ostendum.core.event.BatteryEvent.DefectFound;
import org.ostendum.core.event.BatteryEvent.DefectRighted;
import org.ostendum.core.event.BatteryEvent.Held;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Moved;
import org.ostendum.core.event.BatteryEvent.PutInStore;
import org.ostendum.core.event.BatteryEvent.Released;
import org.ostendum.core.event.BatteryEvent.Retired;
import org.ostendum.core.event.BatteryEvent.TemperatureRead;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.ChargeKind;

/**
 * Where it stands in its life, where it is, how warm it was and what is wrong with it.
 *
 * @param stageSince null where nobody has said
 * @param heldFor why it is held; null while it is not
 * @param heat as last read; null for never
 */
public record Condition(
        Stage stage,
        @Nullable Instant stageSince,
        @Nullable String heldFor,
        Place place,
        @Nullable Heat heat,
        List<OpenDefect> defects) {
    static final Condition NOTHING = new Condition(Stage.IN_SERVICE, null, null, Place.NOWHERE, null, List.of());

    public Condition {
        defects = List.copyOf(defects);
    }

    Condition after(BatteryEvent event) {
        if (event instanceof TemperatureRead read) {
            return with(new Heat(read.celsius(), read.at()));
        } else if (event instanceof HottestOfCharge hottest) {
            return with(new Heat(hottest.celsius(), hottest.at()));
        } else if (event instanceof Moved moved) {
            return with(new Place(moved.slot(), moved.machine()));
        } else if (event instanceof DefectFound || event instanceof DefectRighted) {
            return defectsAfter(event);
        }
        return stageAfter(event);
    }

    private Condition stageAfter(BatteryEvent event) {
        Instant at = event.at();
        if (event instanceof Arrived arrived) {
            return with(arrived.dry() ? Stage.DRY : Stage.IN_SERVICE, at, null);
        } else if (event instanceof ChargeStarted started) {
            boolean first = stage == Stage.DRY && started.kind() == ChargeKind.INITIAL;
            return first ? with(Stage.COMMISSIONING, at, null) : this;
        } else if (event instanceof Commissioned) {
            return with(Stage.IN_SERVICE, at, null);
        } else if (event instanceof Held held) {
            return with(Stage.HELD, at, held.reason());
        } else if (event instanceof Released) {
            return stage == Stage.HELD || stage == Stage.STORED ? with(Stage.IN_SERVICE, at, null) : this;
        } else if (event instanceof PutInStore) {
            return with(Stage.STORED, at, null);
        } else if (event instanceof Retired) {
            return with(Stage.RETIRED, at, null);
        }
        return event instanceof Worked && stage == Stage.STORED ? with(Stage.IN_SERVICE, at, null) : this;
    }

    private Condition defectsAfter(BatteryEvent event) {
        List<OpenDefect> open = new ArrayList<>(defects);
        if (event instanceof DefectFound found) {
            open.add(new OpenDefect(found.id(), found.kind(), found.at()));
        } else if (event instanceof DefectRighted righted) {
            open.removeIf(defect -> defect.id().equals(righted.id()));
        }
        return new Condition(stage, stageSince, heldFor, place, heat, open);
    }

    private Condition with(Stage now, Instant since, @Nullable String held) {
        return new Condition(now, since, held, place, heat, defects);
    }

    public Condition with(Heat now) {
        return new Condition(stage, stageSince, heldFor, place, now, defects);
    }

    private Condition with(Place now) {
        return new Condition(stage, stageSince, heldFor, now, heat, defects);
    }
}
