package org.ostendum.app.form;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.validation.constraints.PastOrPresent;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.people.Role;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.boot.validation.MessageInterpolatorFactory;
import org.springframework.context.support.ResourceBundleMessageSource;
import org.springframework.core.ResolvableType;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.validation.BindingResult;
import org.springframework.validation.beanvalidation.LocalValidatorFactoryBean;
import org.springframework.web.bind.ServletRequestDataBinder;

class BoundFormTest {
    private static final Clock NOW = Clock.fixed(Instant.parse("2026-11-25T10:00:00Z"), ZoneOffset.UTC);
    private static final LocalValidatorFactoryBean VALIDATOR = new LocalValidatorFactoryBean();
    private static final FormBinding BINDING =
            new FormBinding(new StaticListableBeanFactory(Map.of("validator", VALIDATOR))
                    .getBeanProvider(LocalValidatorFactoryBean.class));

    /** One field of each sort. */
    record Sample(
            @Code(groups = Adding.class) String code,
            @Needed @Text(max = 20) String name,
            @Within(min = "0.5", max = "10") @Nullable Double hours,
            @Within(min = "1", max = "6") @Nullable Integer cells,
            @PastOrPresent(message = "{fault.date.future}") @Nullable LocalDate day,
            @Needed(message = Needed.CHOICE) @Nullable Role role,
            @Nullable Long slot,
            @Nullable Integer version) {}

    @BeforeAll
    static void open() {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("messages");
        messages.setDefaultEncoding("UTF-8");
        VALIDATOR.setMessageInterpolator(new MessageInterpolatorFactory(messages).getObject());
        VALIDATOR.setConfigurationInitializer(BINDING.siteClock(NOW, ZoneOffset.UTC)::customize);
        VALIDATOR.afterPropertiesSet();
    }

    @AfterAll
    static void close() {
        VALIDATOR.close();
    }

    private static BindingResult bound(Map<String, String> typed) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        Map.of("code", "T-19", "name", "Truck", "role", "LEAD").forEach(request::setParameter);
        typed.forEach(request::setParameter);
        ServletRequestDataBinder binder = new ServletRequestDataBinder(null, "form");
        binder.setTargetType(ResolvableType.forClass(Sample.class));
        BINDING.prepare(binder);
        binder.setValidator(VALIDATOR);
        binder.construct(request);
        if (!binder.getBindingResult().hasErrors()) {
            binder.validate(Adding.class);
        }
        return binder.getBindingResult();
    }

    private static FormView form(String field, String typed) {
        return FormView.of(bound(Map.of(field, typed)), TestWords.metric());
    }

    @ParameterizedTest
    @CsvSource({
        "code, t 19, cannot be a code",
        "code, ABCDEFGHIJKLMNOPQRSTU, cannot be a code",
        "code, '', cannot be a code",
        "name, '  ', Write something here",
        "name, abcdefghijklmnopqrstuvwxyz, “abcdefghijklmnopqrstuvwx…” is too long: at most 20",
        "hours, 10.1, “10.1” is outside what is possible: 0.5 to 10",
        "hours, 1d, “1d” is no number. Allowed is 0.5 to 10",
        "hours, NaN, is no number",
        "cells, 2.5, “2.5” is no number. Allowed is 1 to 6",
        "cells, 7, 1 to 6",
        "day, 2026-11-26, lies ahead",
        "day, +999999999-01-01, is no date",
        "role, KING, Choose one",
        "role, '', Choose one",
        "slot, 0x10, Choose one",
    })
    void whatCannotBeIsNamedBesideItsFieldAndStaysInIt(String field, String typed, String told) {
        FormView form = form(field, typed);
        assertThat(form.faults().of(field)).contains(told);
        assertThat(form.faults().byField()).hasSize(1);
        assertThat(form.get(field)).isEqualTo(typed.strip());
        assertThat(form.get(field.equals("code") ? "name" : "code"))
                .as("what is right stays too")
                .isEqualTo(field.equals("code") ? "Truck" : "T-19");
    }

    @ParameterizedTest
    @CsvSource({"hours, '4,5', 4.5", "hours, 10, 10", "cells, ' 6 ', 6", "day, 2026-11-25, 2026-11-25", "slot, 12, 12"})
    void whatCanBeIsTaken(String field, String typed, String shown) {
        FormView form = form(field, typed);
        assertThat(form.faults().any()).isFalse();
        assertThat(form.get(field)).isEqualTo(shown);
    }

    @Test
    void aFieldOfAnotherFormOfThePageIsEmpty() {
        assertThat(form("hours", "4").get("no-such-field")).isEmpty();
    }

    @Test
    void whatAnotherHasChangedIsToldBesideItAndKeepingOnceMoreIsPossible() {
        BindingResult typed = bound(Map.of("hours", "4", "slot", "12", "version", "3"));
        FormView.clash(typed, new Sample("T-19", "Lorry", 4.0, null, null, Role.LEAD, 11L, 5));
        FormView form = FormView.of(typed, TestWords.metric());
        assertThat(form.faults().byField()).containsOnlyKeys("name", "slot", "version");
        assertThat(form.faults().of("name")).contains("“Lorry”");
        assertThat(form.get("name")).isEqualTo("Truck");
        assertThat(form.get("version")).isEqualTo("5");
    }

    @Test
    void whatAFormOfAChangeDoesNotHaveIsNoClash() {
        BindingResult typed = bound(Map.of("hours", "4", "version", "3"));
        FormView.clash(typed, new Sample("T-20", "Truck", 4.0, null, null, Role.LEAD, null, 4), "code");
        assertThat(FormView.of(typed, TestWords.metric()).faults().byField()).containsOnlyKeys("version");
    }

    @Test
    void theFirstFaultOfAFieldStandsAndLosesNothing() {
        BindingResult typed = bound(Map.of("cells", "3"));
        Faults.tell(typed, "cells", "fault.cases", 3);
        Faults.tell(typed, "cells", "fault.plate");
        FormView form = FormView.of(typed, TestWords.metric());
        assertThat(form.faults().of("cells")).contains("Cases of 3 cells");
        assertThat(form.get("cells")).isEqualTo("3");
    }
}
