package org.ostendum.app.setup.model;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.CommonLayout;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.receive.DateScheme;

/**
 * What the page of models shows.
 *
 * @param stored the one that is changed; null for a new one
 * @param drawing of the stored one; null for a new one
 * @param picked the layout that a new one begins with; null where one is changed
 * @param common layouts to pick from
 */
record ModelsView(
        @Nullable StoredModel stored,
        @Nullable BatteryDrawing drawing,
        @Nullable CommonLayout picked,
        List<ModelSetup.Picture> common,
        List<StoredModel> models,
        List<CellKind> kinds,
        List<Duty> duties,
        List<DateScheme> schemes) {}
