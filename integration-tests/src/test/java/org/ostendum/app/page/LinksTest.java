package org.ostendum.app.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.net.URI;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.util.HtmlUtils;

class LinksTest extends ApplicationTest {
    private static final Pattern LINK = Pattern.compile("href=\"(/(?!static)[^\"#]*)");

    @Autowired
    private MockMvc mvc;

    private Set<String> linksOf(String page) throws Exception {
        Set<String> links = new TreeSet<>();
        LINK.matcher(AsPerson.maud(mvc).page(page))
                .results()
                .forEach(m -> links.add(HtmlUtils.htmlUnescape(m.group(1))));
        return links;
    }

    private int answer(String link) throws Exception {
        return AsPerson.maud(mvc).ask(get(URI.create(link))).getStatus();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/setup",
                "/rooms/main",
                "/batteries/T-07",
                "/jobs",
                "/sums/mixing",
                "/rules",
                "/me",
                "/safety",
                "/charging"
            })
    void noLinkLeadsNowhere(String page) throws Exception {
        Map<String, Integer> broken = new TreeMap<>();
        Set<String> links = linksOf(page);
        assertThat(links).hasSizeGreaterThan(5);
        for (String link : links) {
            int status = answer(link);
            if (status >= 400) {
                broken.put(link, status);
            }
        }
        assertThat(broken).isEmpty();
    }

    @Test
    void aLinkThatLeadsNowhereWouldBeSeen() throws Exception {
        assertThat(answer("/setup/no-such-thing")).isEqualTo(404);
    }
}
