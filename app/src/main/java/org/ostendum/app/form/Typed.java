package org.ostendum.app.form;

import jakarta.validation.ConstraintValidatorContext;
import org.hibernate.validator.constraintvalidation.HibernateConstraintValidatorContext;

/** What was typed, short enough to be told in a sentence. */
final class Typed {
    private static final int LONGEST = 24;

    private Typed() {}

    /** Makes it the {@code {typed}} of the constraint's message. */
    static void tell(ConstraintValidatorContext context, String typed) {
        context.unwrap(HibernateConstraintValidatorContext.class).addMessageParameter("typed", shortened(typed));
    }

    static String shortened(String typed) {
        return typed.length() <= LONGEST ? typed : typed.substring(0, LONGEST) + "…";
    }
}
