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

/** A code that can stand in an address: letters, digits and hyphens, at most 20. */
@Target({ElementType.FIELD, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Code.Validator.class)
public @interface Code {
    String message() default "{fault.no-code}";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Looks at each character. */
    final class Validator implements ConstraintValidator<Code, CharSequence> {
        @Override
        public boolean isValid(@Nullable CharSequence text, ConstraintValidatorContext context) {
            String code = text == null ? "" : text.toString();
            if (code.matches("[A-Za-z0-9-]{1,20}")) {
                return true;
            }
            Typed.tell(context, code);
            return false;
        }
    }
}
