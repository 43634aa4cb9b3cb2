package org.ostendum.app.form;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.jspecify.annotations.Nullable;

/** Something must be written or chosen here. */
@Target({ElementType.FIELD, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Needed.Validator.class)
public @interface Needed {
    /** For a list to choose from. */
    String CHOICE = "{fault.choose}";

    String message() default "{fault.blank}";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Blanks are nothing. */
    final class Validator implements ConstraintValidator<Needed, Object> {
        @Override
        public boolean isValid(@Nullable Object value, ConstraintValidatorContext context) {
            return value != null && !(value instanceof CharSequence text && text.isEmpty());
        }
    }
}
