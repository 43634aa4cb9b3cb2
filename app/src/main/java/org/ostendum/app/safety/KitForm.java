package org.ostendum.app.safety;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;

/**
 * What was done with an item of a spill kit, as typed.
 *
 * @param expires its date; null for what keeps
 */
record KitForm(
        @Needed @Text(max = 80) String item,
        @Needed(message = Needed.CHOICE) KitController.@Nullable Deed deed,
        @Nullable LocalDate expires) {
    static final KitForm BLANK = new KitForm("", null, null);
}
