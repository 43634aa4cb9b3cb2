package org.ostendum.app.form;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** A number in a range, both ends included. Nothing typed is within every range: say {@code @NotNull} beside it. */
@Target({ElementType.FIELD, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Within.Validator.class)
public @interface Within {
    String min();

    String max();

    String message() default "{fault.within}";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Compares as decimals, so that no end is missed by a hair. */
    final class Validator implements ConstraintValidator<Within, Number> {
        private BigDecimal min = BigDecimal.ZERO;
        private BigDecimal max = BigDecimal.ZERO;

        @Override
        public void initialize(Within within) {
            min = new BigDecimal(within.min());
            max = new BigDecimal(within.max());
        }

        @Override
        public boolean isValid(@Nullable Number number, ConstraintValidatorContext context) {
            if (number == null) {
                return true;
            }
            BigDecimal value = new BigDecimal(number.toString());
            Typed.tell(context, value.stripTrailingZeros().toPlainString());
            return value.compareTo(min) >= 0 && value.compareTo(max) <= 0;
        }
    }
}
