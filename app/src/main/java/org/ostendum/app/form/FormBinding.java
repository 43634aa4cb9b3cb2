package org.ostendum.app.form;

import java.time.Clock;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.PropertyAccessException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.propertyeditors.StringTrimmerEditor;
import org.springframework.boot.validation.autoconfigure.ValidationConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.core.ResolvableType;
import org.springframework.validation.BindingResult;
import org.springframework.validation.DefaultBindingErrorProcessor;
import org.springframework.validation.FieldError;
import org.springframework.validation.beanvalidation.LocalValidatorFactoryBean;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/** How forms are bound: texts without their outer blanks, and what cannot be read told with what was typed. */
@ControllerAdvice
class FormBinding {
    private final ObjectProvider<LocalValidatorFactoryBean> validator;

    FormBinding(ObjectProvider<LocalValidatorFactoryBean> validator) {
        this.validator = validator;
    }

    @InitBinder
    void prepare(WebDataBinder binder) {
        // The one that stands there judges whole forms only: beside a figure that cannot be read, all other faults
        // would wait for it.
        if (!binder.getValidators().isEmpty()) {
            validator.ifAvailable(binder::replaceValidators);
        }
        Formats.register(binder);
        binder.registerCustomEditor(String.class, new StringTrimmerEditor(false));
        binder.setBindingErrorProcessor(new TypedErrors(binder.getTargetType()));
    }

    /** Days that have come are those of the site's own clock. */
    @Bean
    ValidationConfigurationCustomizer siteClock(Clock clock, ZoneId zone) {
        return configuration -> configuration.clockProvider(() -> clock.withZone(zone));
    }

    /** Says of what could not be read what was typed and, for a number, what is allowed. */
    private static final class TypedErrors extends DefaultBindingErrorProcessor {
        private final FieldKinds kinds;

        TypedErrors(@Nullable ResolvableType form) {
            this.kinds = new FieldKinds(form == null ? Object.class : form.toClass());
        }

        @Override
        public void processPropertyAccessException(PropertyAccessException fault, BindingResult result) {
            String field = String.valueOf(fault.getPropertyName());
            String typed = String.valueOf(fault.getValue());
            FieldKinds.Unread unread = kinds.unread(field, Typed.shortened(typed));
            result.addError(new FieldError(
                    result.getObjectName(), field, typed, true, new String[] {unread.key()}, unread.arguments(), null));
        }
    }
}
