package org.ostendum.app.battery;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.complaint.Complaints.Said;
import org.ostendum.app.photo.Photos.PhotoName;
import org.ostendum.app.storage.Storing;
import org.ostendum.core.plan.PlanJob;

/**
 * What other rooms of the house know of a battery, beside its state.
 *
 * @param pictures of its last round
 * @param complaint that is open
 * @param stored where it is put away
 * @param planned what the plan in force has in mind
 */
record Around(
        List<PhotoName> pictures,
        @Nullable Said complaint,
        Storing.@Nullable Line stored,
        List<PlanJob> planned,
        BatteryButtons.Buttons buttons) {}
