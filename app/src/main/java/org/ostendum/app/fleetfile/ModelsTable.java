package org.ostendum.app.fleetfile;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;

/** Battery models by their sheets. */
@Component
class ModelsTable implements FleetTable {
    private final Models models;

    ModelsTable(Models models) {
        this.models = models;
    }

    @Override
    public FleetFile file() {
        return FleetFile.MODELS;
    }

    @Override
    public List<String> columns() {
        return List.of(
                "model",
                "kind",
                "use",
                "volts",
                "cells",
                "cells_per_block",
                "rows",
                "capacity_ah",
                "rate_hours",
                "weight_kg",
                "sg_full",
                "sg_empty",
                "connector",
                "maker",
                "layout",
                "sg_recharge",
                "sg_full_to",
                "mark_mm",
                "mark_words",
                "cables",
                "opportunity");
    }

    @Override
    public List<String> required() {
        return List.of("model", "volts", "cells", "capacity_ah");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<String, List<String>> lines = new LinkedHashMap<>();
        models.all().forEach(m -> lines.put(m.code(), line(m)));
        return lines;
    }

    private static List<String> line(StoredModel stored) {
        BatteryModel model = stored.model();
        return List.of(
                stored.code(),
                FleetText.word(model.kind()),
                FleetText.word(model.duty()),
                String.valueOf(model.nominalVolts()),
                String.valueOf(model.cells()),
                String.valueOf(model.layout().cellsPerCase()),
                String.valueOf(model.layout().rows()),
                FleetText.number(model.capacity().ampHours()),
                FleetText.number(model.rateHours()),
                stored.weightKg() == 0 ? "" : String.valueOf(stored.weightKg()),
                ModelRow.gravity(model.marks().fullFrom()),
                ModelRow.gravity(model.marks().empty()),
                stored.connector(),
                stored.maker(),
                model.layout().text(),
                ModelRow.gravity(model.marks().rechargeBelow()),
                ModelRow.gravity(model.marks().fullTo()),
                String.valueOf(stored.levelMarkMm()),
                stored.levelWords(),
                stored.cablesLeft() ? "left" : "right",
                FleetText.yes(stored.opportunity()));
    }

    @Override
    public void take(List<CsvRow> rows, Person by) {
        for (CsvRow row : rows) {
            StoredModel was = models.byCode(row.text("model")).orElse(null);
            new ModelRow(row, was).read().ifPresent(model -> {
                if (was == null) {
                    models.add(model);
                } else if (!was.equals(model)) {
                    models.change(model, models.version(model.id()));
                }
            });
        }
    }
}
