package org.ostendum.app.support;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.Arrays;
import java.util.List;
import org.ostendum.core.people.Language;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/**
 * A person of the demo asking the application.
 *
 * @param role that goes with the sign-in
 */
public record AsPerson(MockMvc mvc, String login, String role) {
    public static AsPerson tom(MockMvc mvc) {
        return new AsPerson(mvc, "tom", "TECHNICIAN");
    }

    public static AsPerson maud(MockMvc mvc) {
        return new AsPerson(mvc, "maud", "LEAD");
    }

    public static AsPerson oskar(MockMvc mvc) {
        return new AsPerson(mvc, "oskar", "SAFETY");
    }

    public MockHttpServletResponse ask(AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        return mvc.perform(request.with(user(login).roles(role)).with(csrf()))
                .andReturn()
                .getResponse();
    }

    /** The page at a path, its variables filled in; a key without its text on it fails whatever is tested. */
    public String page(String path, Object... variables) throws Exception {
        String page = ask(get(path, variables)).getContentAsString();
        assertThat(page).as("texts of " + path).doesNotContain("??");
        return page;
    }

    /** Opens a page with a form and sends that, as it was shown. */
    public MockHttpServletResponse sendFrom(String page, String path, String... namesAndValues) throws Exception {
        String[] sent = Arrays.copyOf(namesAndValues, namesAndValues.length + 2);
        sent[namesAndValues.length] = "seen";
        sent[namesAndValues.length + 1] = seen(page);
        return send(path, sent);
    }

    /** What a form keeps of how things stood when it was shown. */
    public String seen(String page) throws Exception {
        return page(page).replaceAll("(?s).*name=\"seen\" value=\"([^\"]*)\".*", "$1");
    }

    /** Sends a form of names and values in turn. */
    public MockHttpServletResponse send(String path, String... namesAndValues) throws Exception {
        MockHttpServletRequestBuilder request = post(path);
        for (int i = 0; i < namesAndValues.length; i += 2) {
            request.param(namesAndValues[i], namesAndValues[i + 1]);
        }
        return ask(request);
    }

    /** Chooses the language in which pages speak to him. */
    public void speaks(Language language) throws Exception {
        send(
                "/me",
                "form",
                "THREE_DIGITS",
                "points",
                "false",
                "fahrenheit",
                "false",
                "us",
                "false",
                "theme",
                "DEVICE",
                "language",
                language.name());
    }

    /** Sends a form that may carry files, of names and values in turn. */
    public MockHttpServletResponse sendParts(String path, List<MockMultipartFile> files, String... namesAndValues)
            throws Exception {
        MockMultipartHttpServletRequestBuilder request = multipart(path);
        files.forEach(request::file);
        for (int i = 0; i < namesAndValues.length; i += 2) {
            request.param(namesAndValues[i], namesAndValues[i + 1]);
        }
        return ask(request);
    }
}
