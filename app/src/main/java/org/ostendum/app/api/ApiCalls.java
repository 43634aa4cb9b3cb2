package org.ostendum.app.api;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.time.Duration;
import org.ostendum.app.page.Problem;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** A program that has gone wild does not hold up the people: each person's programs have so many calls a minute together. */
@Configuration
class ApiCalls implements WebMvcConfigurer, HandlerInterceptor {
    static final int A_MINUTE = 600;

    private final Cache<String, Bucket> callers = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofMinutes(10))
            .maximumSize(10_000)
            .build();

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Principal person = request.getUserPrincipal();
        if (person == null || bucket(person.getName()).tryConsume(1)) {
            return true;
        }
        response.setHeader("Retry-After", "10");
        Problem.answer(response, HttpStatus.TOO_MANY_REQUESTS, "", "Allowed are " + A_MINUTE + " calls a minute.");
        return false;
    }

    private Bucket bucket(String login) {
        return callers.get(login, l -> Bucket.builder()
                .addLimit(limit -> limit.capacity(A_MINUTE).refillGreedy(A_MINUTE, Duration.ofMinutes(1)))
                .build());
    }
}
