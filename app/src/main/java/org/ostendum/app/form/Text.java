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

/** A text of at most so many characters; whether something must be written at all is for {@code @NotBlank}. */
@Target({ElementType.FIELD, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Text.Validator.class)
public @interface Text {
    int max();

    String message() default "{fault.too-long}";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Counts characters. */
    final class Validator implements ConstraintValidator<Text, CharSequence> {
        private int max;

        @Override
        public void initialize(Text text) {
            max = text.max();
        }

        @Override
        public boolean isValid(@Nullable CharSequence text, ConstraintValidatorContext context) {
            if (text == null || text.length() <= max) {
                return true;
            }
            Typed.tell(context, text.toString());
            return false;
        }
    }
}
