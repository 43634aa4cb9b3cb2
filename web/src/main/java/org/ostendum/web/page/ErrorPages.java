package org.ostendum.web.page;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.ostendum.web.words.Words;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** What a person sees when something is not there, not allowed or went wrong: a way back, never a stack trace. */
@Controller
class ErrorPages implements ErrorController {
    @RequestMapping("/error")
    String error(HttpServletRequest request, Words words, Model page) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        String kind =
                switch (status instanceof Integer code ? code : 500) {
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
}
