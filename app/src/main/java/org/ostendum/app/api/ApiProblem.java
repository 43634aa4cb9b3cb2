package org.ostendum.app.api;

import org.springframework.http.HttpStatus;

/** What is wrong with a call, told as a problem of RFC 9457 with the member it is about. */
public final class ApiProblem extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final HttpStatus status;
    private final String field;

    /**
     * @param field path of the member, such as {@code rounds[2].cells[0].sg}
     * @param detail a sentence that says what is allowed
     */
    public ApiProblem(HttpStatus status, String field, String detail) {
        super(detail);
        this.status = status;
        this.field = field;
    }

    HttpStatus status() {
        return status;
    }

    String field() {
        return field;
    }
}
