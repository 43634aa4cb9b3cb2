package org.ostendum.app.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.net.URI;
import java.text.MessageFormat;
import java.util.Enumeration;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.DemoPages;
import org.ostendum.core.people.Language;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.util.HtmlUtils;

class LanguageTest extends ApplicationTest {
    private static final Pattern NO_WORDS = Pattern.compile("(?s)<(script|style).*?</\\1>");
    private static final Pattern READ_OUT = Pattern.compile("(?:aria-label|placeholder|title|alt)=\"([^\"]*)\"");
    /** Columns of files, and a stand of the demo: names in every language. */
    private static final Set<String> NAMES = Set.of("battery", "charger", "volts", "Aircraft bench");

    private static final Set<String> ENGLISH = onlyEnglish();

    @Autowired
    private MockMvc mvc;

    private static Set<String> onlyEnglish() {
        ResourceBundle english = ResourceBundle.getBundle("messages", Locale.ROOT);
        ResourceBundle spanish = ResourceBundle.getBundle("messages", Language.SPANISH.locale());
        Set<String> texts = new TreeSet<>();
        Enumeration<String> keys = english.getKeys();
        while (keys.hasMoreElements()) {
            String key = keys.nextElement();
            if (!english.getString(key).equals(spanish.getString(key))) {
                texts.add(english.getString(key));
            }
        }
        // A word that is also one of the other language's own, as "no" or "plan".
        spanish.getKeys().asIterator().forEachRemaining(key -> texts.remove(spanish.getString(key)));
        texts.removeAll(NAMES);
        return texts;
    }

    @BeforeEach
    void inSpanish() throws Exception {
        AsPerson.maud(mvc).speaks(Language.SPANISH);
    }

    @AfterEach
    void inEnglishAgain() throws Exception {
        AsPerson.maud(mvc).speaks(Language.ENGLISH);
    }

    private String page(String path) throws Exception {
        return AsPerson.maud(mvc).ask(get(URI.create(path))).getContentAsString();
    }

    private static Set<String> texts(String page) {
        String bare = NO_WORDS.matcher(page).replaceAll("");
        Stream<String> readOut = READ_OUT.matcher(bare).results().map(m -> m.group(1));
        return Stream.concat(Stream.of(bare.split("<[^>]*>")), readOut)
                .map(text -> HtmlUtils.htmlUnescape(text).strip())
                .filter(text -> !text.isEmpty())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void noPageLeavesATextInEnglish() throws Exception {
        Map<String, Set<String>> left = new TreeMap<>();
        for (String path : Stream.concat(DemoPages.ofWork().stream(), DemoPages.ofTheSite().stream())
                .toList()) {
            Set<String> english = texts(page(path));
            english.retainAll(ENGLISH);
            if (!english.isEmpty()) {
                left.put(path, english);
            }
        }
        assertThat(left).isEmpty();
    }

    @Test
    void aTextInEnglishWouldBeSeen() throws Exception {
        AsPerson.maud(mvc).speaks(Language.ENGLISH);
        assertThat(texts(page("/fleet"))).containsAnyElementsOf(ENGLISH);
    }

    /** The job was begun in English; its cables have steps of their own. */
    @Test
    void aJobBegunInEnglishIsReadInSpanish() throws Exception {
        assertThat(page("/jobs/6"))
                .contains("lang=\"es\"", "Desarmar el grupo", "Cable 3 fuera: bloque 3 − a bloque 4 +. A la bolsa.")
                .doesNotContain("Into the bag", "off: block");
    }

    @Test
    void figuresAreShownAsTheyAreTyped() throws Exception {
        assertThat(page("/batteries/T-07")).contains("1.2").doesNotContainPattern(">1,2\\d\\d<");
        assertThat(MessageFormat.format("{0}", 1.5)).isEqualTo("1.5");
    }

    @Test
    void whoHasNotSignedInReadsWhatHisBrowserAsksForOrTheSitesLanguage() throws Exception {
        assertThat(signIn(Locale.GERMAN)).contains("lang=\"en\"", "Who is working?");
        assertThat(signIn(Locale.forLanguageTag("es-AR"))).contains("lang=\"es\"", "¿Quién trabaja?");
    }

    private String signIn(Locale browser) throws Exception {
        return mvc.perform(get("/sign-in").locale(browser))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }
}
