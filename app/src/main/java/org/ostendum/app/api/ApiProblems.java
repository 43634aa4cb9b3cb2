package org.ostendum.app.api;

import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Every refusal of a program's call is {@code application/problem+json}. */
@RestControllerAdvice(annotations = RestController.class)
class ApiProblems extends ResponseEntityExceptionHandler {
    @ExceptionHandler
    ResponseEntity<Object> refused(ApiProblem problem) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(problem.status(), problem.getMessage());
        detail.setProperty("field", problem.field());
        return ResponseEntity.status(problem.status())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(detail);
    }

    /** Text that is no JSON: where it breaks is told, never what the parser's classes are called. */
    @Override
    protected @Nullable ResponseEntity<Object> handleExceptionInternal(
            Exception ex, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (status.value() == HttpStatus.BAD_REQUEST.value()) {
            return refused(new ApiProblem(
                    HttpStatus.BAD_REQUEST, "", "The body could not be read. Send one JSON object in UTF-8."));
        }
        headers.setContentType(MediaType.APPLICATION_PROBLEM_JSON);
        return super.handleExceptionInternal(ex, body, headers, status, request);
    }
}
