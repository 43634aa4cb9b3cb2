package org.ostendum.app.form;

import java.util.Map;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.validation.BindingResult;

/**
 * The database has the last word on what is taken: two people may have chosen the same code or place at once, or what
 * was chosen may be gone.
 *
 * @param fields the field of the form that each constraint of the table is about, by the constraint's name
 */
public record Constraints(Map<String, String> fields) {
    /** Writes, and tells beside its field what the database refused. */
    public void keep(BindingResult errors, Runnable write) {
        try {
            write.run();
        } catch (DataIntegrityViolationException e) {
            tell(errors, e);
        }
    }

    private void tell(BindingResult errors, DataIntegrityViolationException refused) {
        String message = String.valueOf(refused.getMessage());
        String field = fields.entrySet().stream()
                .filter(e -> message.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow(() -> refused);
        Object typed = errors.getFieldValue(field);
        if (!(refused instanceof DuplicateKeyException)) {
            Faults.tell(errors, field, "fault.choose");
        } else if (Long.class.equals(errors.getFieldType(field))) {
            Faults.tell(errors, field, "fault.slot.taken");
        } else {
            Faults.tell(errors, field, "fault.taken", String.valueOf(typed));
        }
    }
}
