package org.ostendum.app.page;

import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;

/** Nothing goes by this name here. */
public class NotFound extends ResponseStatusException {
    public NotFound(String what) {
        super(HttpStatus.NOT_FOUND, what);
    }
}
