package org.ostendum.app.safety;

import jakarta.servlet.http.HttpServletResponse;
import org.ostendum.app.site.Sites;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** First aid for acid: one tap from every screen, open to everybody. */
@Controller
class FirstAidController {
    private final Sites sites;

    FirstAidController(Sites sites) {
        this.sites = sites;
    }

    @GetMapping("/first-aid")
    String firstAid(Model page) {
        page.addAttribute("site", sites.site());
        return "safety/first-aid";
    }

    /** The card alone, which every page fetches ahead so that it opens with the network down. */
    @GetMapping("/first-aid/card")
    String card(HttpServletResponse response, Model page) {
        page.addAttribute("site", sites.site());
        response.setHeader("Cache-Control", "private, max-age=3600");
        return "safety/first-aid :: card";
    }
}
