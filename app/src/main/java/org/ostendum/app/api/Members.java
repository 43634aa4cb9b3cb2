package org.ostendum.app.api;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.PlainTime;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.JsonNode;

/** Reads the members of a JSON object; whatever does not fit is refused by its path, its value and what is allowed. */
final class Members {
    /** Characters of a text; notes are no letters. */
    private static final int LONGEST = 400;

    private final JsonNode node;
    /** Put together only where something is wrong: a call may hold ten thousand objects. */
    private final Supplier<String> path;

    private Members(JsonNode node, Supplier<String> path) {
        this.node = node;
        this.path = path;
    }

    static Members of(JsonNode body) {
        return of(body, () -> "");
    }

    private static Members of(JsonNode node, Supplier<String> path) {
        if (!node.isObject()) {
            throw bad(path.get(), node, "a JSON object");
        }
        return new Members(node, path);
    }

    Members object(String name) {
        return of(node.path(name), () -> at(name));
    }

    boolean has(String name) {
        JsonNode value = node.path(name);
        return !value.isMissingNode() && !value.isNull();
    }

    /** @return the objects of an array, none where it is missing */
    List<Members> list(String name, int most) {
        JsonNode array = node.path(name);
        if (!has(name)) {
            return List.of();
        }
        if (!array.isArray()) {
            throw bad(at(name), array, "an array");
        }
        if (array.size() > most) {
            throw new ApiProblem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    at(name),
                    at(name) + " holds " + array.size() + " elements, allowed are " + most + ".");
        }
        List<Members> members = new ArrayList<>(array.size());
        for (int i = 0; i < array.size(); i++) {
            int index = i;
            members.add(of(array.get(i), () -> at(name) + "[" + index + "]"));
        }
        return members;
    }

    double number(String name, double least, double most) {
        JsonNode value = node.path(name);
        if (!value.isNumber() || value.asDouble() < least || value.asDouble() > most) {
            throw bad(at(name), value, "a number from " + plain(least) + " to " + plain(most));
        }
        return value.asDouble();
    }

    @Nullable
    Double numberIfGiven(String name, double least, double most) {
        return has(name) ? (Double) number(name, least, most) : null;
    }

    int whole(String name, int least, int most) {
        double value = number(name, least, most);
        if (value != Math.rint(value)) {
            throw bad(at(name), node.path(name), "a whole number from " + least + " to " + most);
        }
        return (int) value;
    }

    boolean flag(String name) {
        JsonNode value = node.path(name);
        if (has(name) && !value.isBoolean()) {
            throw bad(at(name), value, "true or false");
        }
        return value.asBoolean(false);
    }

    String text(String name) {
        JsonNode value = node.path(name);
        if (has(name) && !value.isString()) {
            throw bad(at(name), value, "a text");
        } else if (value.asString("").length() > LONGEST) {
            throw new ApiProblem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    at(name),
                    at(name) + " has " + value.asString("").length() + " characters, allowed are " + LONGEST + ".");
        }
        return value.asString("");
    }

    /** @return the texts of an array, none where it is missing */
    List<String> texts(String name, int most) {
        JsonNode array = node.path(name);
        if (!has(name)) {
            return List.of();
        }
        boolean isTexts =
                array.isArray() && array.size() <= most && array.valueStream().allMatch(JsonNode::isString);
        if (!isTexts) {
            throw bad(at(name), array, "an array of at most " + most + " texts");
        }
        return array.valueStream().map(JsonNode::asString).toList();
    }

    Instant time(String name) {
        return PlainTime.parse(text(name))
                .orElseThrow(() -> bad(
                        at(name),
                        node.path(name),
                        "a time from 1980 to 2099 with its offset such as 2026-03-31T14:05:00Z"));
    }

    /** One of some names, as {@code motive} for {@code MOTIVE}; the usual one where it is missing. */
    <E extends Enum<E>> E choice(String name, Class<E> kind, @Nullable E usual) {
        String text = text(name);
        if (text.isEmpty() && usual != null) {
            return usual;
        }
        return Arrays.stream(kind.getEnumConstants())
                .filter(e -> e.name().toLowerCase(Locale.ROOT).equals(text))
                .findFirst()
                .orElseThrow(() -> bad(
                        at(name),
                        node.path(name),
                        "one of "
                                + String.join(
                                        ", ",
                                        Arrays.stream(kind.getEnumConstants())
                                                .map(e -> e.name().toLowerCase(Locale.ROOT))
                                                .toList())));
    }

    Iterable<Map.Entry<String, JsonNode>> entries() {
        return node.properties();
    }

    ApiProblem bad(String name, String allowed) {
        return bad(at(name), node.path(name), allowed);
    }

    /** @return where a member lies in the body, such as {@code events[2].quantity} */
    String path(String name) {
        return at(name);
    }

    private String at(String name) {
        String parent = path.get();
        return parent.isEmpty() ? name : parent + "." + name;
    }

    private static ApiProblem bad(String at, JsonNode value, String allowed) {
        String shown = value.isMissingNode() ? "missing" : shortened(value.toString());
        String subject = at.isEmpty() ? "The body" : at;
        return new ApiProblem(
                HttpStatus.UNPROCESSABLE_CONTENT, at, subject + " is " + shown + ", allowed is " + allowed + ".");
    }

    private static String shortened(String text) {
        return text.length() > 80 ? text.substring(0, 80) + "…" : text;
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
