package org.ostendum.app.page;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** What a person sees when something is not there, not allowed or went wrong: a way back, never a stack trace. */
@Controller
class ErrorPages implements ErrorController {
    @RequestMapping("/error")
    @Nullable
    String error(HttpServletRequest request, HttpServletResponse response, Words words, Model page) throws IOException {
        Object told = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = told instanceof Integer code ? code : 500;
        if (String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI))
                .startsWith("/api/")) {
            HttpStatus known = HttpStatus.resolve(status);
            Problem.answer(response, known == null ? HttpStatus.INTERNAL_SERVER_ERROR : known, "", forPrograms(status));
            return null;
        }
        String kind =
                switch (status) {
                    case 400, 404, 405 -> "404";
                    case 401, 403 -> "403";
                    case 413 -> "413";
                    default -> "other";
                };
        page.addAttribute("place", "none");
        page.addAttribute("kind", kind);
        page.addAttribute("asked", request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI));
        page.addAttribute("time", words.clock(words.now()));
        return "error/page";
    }

    private static String forPrograms(int status) {
        return switch (status) {
            case 404 -> "There is no such call; all of them are told at /api/v1/openapi.";
            case 405 -> "This call is made with another method; see /api/v1/openapi.";
            case 406 -> "This call answers application/json; ask for that with Accept.";
            case 415 -> "This call takes application/json; say so with Content-Type.";
            default -> "Something went wrong here; it is in the log. Try again, or tell a lead the time.";
        };
    }
}
