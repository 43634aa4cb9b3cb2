package org.ostendum.app.security;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The sign-in page. */
@Controller
class SignInController {
    private final boolean demo;

    SignInController(@Value("${ostendum.demo}") boolean demo) {
        this.demo = demo;
    }

    @GetMapping("/sign-in")
    String signIn(Model page) {
        page.addAttribute("demo", demo);
        return "signin/signin";
    }
}
