package org.ostendum.app.people;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.passay.DictionaryRule;
import org.passay.EnglishSequenceData;
import org.passay.IllegalSequenceRule;
import org.passay.LengthRule;
import org.passay.PasswordData;
import org.passay.PasswordValidator;
import org.passay.RepeatCharacterRegexRule;
import org.passay.RuleResult;
import org.passay.UsernameRule;
import org.passay.dictionary.ArrayWordList;
import org.passay.dictionary.WordListDictionary;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Which passwords are taken, and how they are kept. Length tells most, and what everybody tries first is refused: NIST SP 800-63B.
 */
@Component
public class Passwords {
    public static final int SHORTEST = 10;
    /** Bytes beyond it are not looked at by bcrypt. */
    public static final int MOST_BYTES = 72;

    private static final int SEQUENCE = 6;
    private static final int REPEATED = 5;
    private static final String COMMON = "/common-passwords.txt";
    /** What people put behind a word that was refused. */
    private static final Pattern TAIL = Pattern.compile("[\\d\\p{Punct}\\s]+$");

    private final DictionaryRule common;
    private final PasswordValidator rules;
    private final PasswordEncoder encoder;

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
        this.common = new DictionaryRule(new WordListDictionary(new ArrayWordList(common(), false)));
        this.rules = new PasswordValidator(List.of(
                new LengthRule(SHORTEST, Integer.MAX_VALUE),
                new UsernameRule(true, true),
                new IllegalSequenceRule(EnglishSequenceData.Alphabetical, SEQUENCE, false),
                new IllegalSequenceRule(EnglishSequenceData.Numerical, SEQUENCE, false),
                new IllegalSequenceRule(EnglishSequenceData.USQwerty, SEQUENCE, false),
                new RepeatCharacterRegexRule(REPEATED)));
    }

    /** @return what is kept for somebody who has no password yet: none opens it */
    public String unset() {
        return hash(UUID.randomUUID().toString());
    }

    /** @return the key of the sentence that refuses it; empty for one that is taken */
    public Optional<String> fault(String password, String login) {
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of("fault.password.long");
        }
        RuleResult result = rules.validate(new PasswordData(login, password));
        if (!result.isValid()) {
            return Optional.of(key(result.getDetails().get(0).getErrorCode()));
        }
        String word = TAIL.matcher(password.toLowerCase(Locale.ROOT)).replaceAll("");
        return common.validate(new PasswordData(word)).isValid()
                ? Optional.empty()
                : Optional.of("fault.password.common");
    }

    private static String key(String code) {
        return switch (code) {
            case LengthRule.ERROR_CODE_MIN -> "fault.password.short";
            case UsernameRule.ERROR_CODE, UsernameRule.ERROR_CODE_REVERSED -> "fault.password.login";
            default -> "fault.password.common";
        };
    }

    /** @return what is kept instead of the password */
    public String hash(String password) {
        return Objects.requireNonNull(encoder.encode(password));
    }

    public boolean matches(String password, String hash) {
        return encoder.matches(password, hash);
    }

    private static String[] common() {
        try (InputStream file = Passwords.class.getResourceAsStream(COMMON)) {
            String text = new String(Objects.requireNonNull(file).readAllBytes(), StandardCharsets.UTF_8);
            return Arrays.stream(text.split("\\s+", -1))
                    .filter(word -> !word.isEmpty())
                    .sorted()
                    .toArray(String[]::new);
        } catch (IOException e) {
            throw new IllegalStateException("The list of common passwords cannot be read", e);
        }
    }
}
