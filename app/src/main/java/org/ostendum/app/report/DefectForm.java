package org.ostendum.app.report;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.core.defect.DefectKind;

/** A defect as reported. */
record DefectForm(
        @Needed(message = Needed.CHOICE) @Nullable DefectKind kind, @Text(max = LONGEST) @Nullable String remark) {
    static final int LONGEST = 400;

    static final DefectForm BLANK = new DefectForm(null, "");

    String remarkText() {
        return remark == null ? "" : remark.strip();
    }
}
