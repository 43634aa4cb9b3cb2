package org.ostendum.core.wiring;

/**
 * A post of a case, or a contact of the plug.
 *
 * @param place number of the case along the current path, 1 and up; 0 for the plug
 * @param positive whether it is the case's positive post
 */
public record Post(int place, boolean positive) {
    /** The contact of the plug that the battery's positive end leads to. */
    public static final Post PLUG_PLUS = new Post(0, true);

    public static final Post PLUG_MINUS = new Post(0, false);

    public boolean isPlug() {
        return place == 0;
    }

    /** @return as written in an address: {@code 3+} */
    public String text() {
        return place + (positive ? "+" : "-");
    }

    /** @throws IllegalArgumentException for a text that is no post */
    public static Post parse(String text) {
        if (!text.matches("[1-9][0-9]{0,2}[+-]")) {
            throw new IllegalArgumentException("“" + text + "” is no post; one is written 3+ or 3-");
        }
        return new Post(Integer.parseInt(text.substring(0, text.length() - 1)), text.endsWith("+"));
    }
}
