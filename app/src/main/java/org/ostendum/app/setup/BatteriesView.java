package org.ostendum.app.setup;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Option;
import org.ostendum.app.inventory.Battery;

/**
 * What the page on which batteries are set up shows.
 *
 * @param battery the one that is changed; null for a new one
 * @param slots that are free, and its own
 * @param people who may answer for its water
 */
record BatteriesView(
        @Nullable Battery battery,
        List<Battery> batteries,
        List<Option> models,
        List<Option> slots,
        List<Option> machines,
        List<Option> people) {}
