package org.ostendum.app.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.people.People;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.GravityForm;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.ostendum.core.people.Theme;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Hands each controller the person at the keyboard and the words in his language and units. */
@Configuration
public class CurrentPerson implements WebMvcConfigurer, HandlerMethodArgumentResolver, HandlerInterceptor {
    private static final String WORDS = "words";
    /** Attribute of a request under which the sign-in leaves the person it has read. */
    public static final String READ = CurrentPerson.class.getName();

    /** Somebody who has not signed in yet. */
    private static final Person STRANGER = new Person(
            0,
            "",
            "",
            Role.VIEWER,
            false,
            GravityForm.THREE_DIGITS,
            false,
            false,
            false,
            Theme.DEVICE,
            Language.ENGLISH);

    private final People people;
    private final Wording wording;

    CurrentPerson(People people, Wording wording) {
        this.people = people;
        this.wording = wording;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).excludePathPatterns("/static/**");
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Person.class || parameter.getParameterType() == Words.class;
    }

    @Override
    public @Nullable Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory factory) {
        Words words = (Words) request.getAttribute(WORDS, NativeWebRequest.SCOPE_REQUEST);
        return words == null || parameter.getParameterType() == Words.class ? words : words.person();
    }

    private Person person(HttpServletRequest request) {
        if (request.getAttribute(READ) instanceof Person read) {
            return read;
        }
        Principal principal = request.getUserPrincipal();
        return principal == null
                ? STRANGER
                : people.byLogin(principal.getName()).orElse(STRANGER);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        words(request);
        return true;
    }

    /** The words of this request, made when first asked for: a page may want its language before its controller is called. */
    Words words(HttpServletRequest request) {
        if (request.getAttribute(WORDS) instanceof Words made) {
            return made;
        }
        Person person = person(request);
        Words words = person.isKnown()
                ? wording.of(person)
                : wording.ofStranger(person, Collections.list(request.getLocales()));
        request.setAttribute(WORDS, words);
        return words;
    }
}
