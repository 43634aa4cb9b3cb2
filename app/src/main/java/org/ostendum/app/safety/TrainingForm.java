package org.ostendum.app.safety;

import jakarta.validation.constraints.PastOrPresent;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.core.safety.Training;

/**
 * A training that somebody has held, as typed.
 *
 * @param person id
 */
record TrainingForm(
        @Needed(message = Needed.CHOICE) @Nullable Long person,
        @Needed(message = Needed.CHOICE) @Nullable Training training,
        @Needed(message = "{fault.no-date}") @PastOrPresent(message = "{fault.date.future}") @Nullable
                LocalDate held) {}
