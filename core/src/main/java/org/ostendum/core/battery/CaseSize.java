package org.ostendum.core.battery;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Length, width and height of a battery, or of the bay that a machine has for one; all in mm. */
public record CaseSize(int length, int width, int height) {
    public static final int LEAST = 50;
    public static final int MOST = 3000;

    /** Half an inch to every side is the usual allowance before it has to be blocked. Rule of thumb. */
    public static final int PLAY_MM = 26;

    private static final Pattern WRITTEN = Pattern.compile("(\\d{2,4})\\s*[x×*]\\s*(\\d{2,4})\\s*[x×*]\\s*(\\d{2,4})");

    /** @return a size as {@code 830 x 630 x 620}; empty for a text that is none, or one with a side beyond 50 to 3000 mm */
    public static Optional<CaseSize> parse(String text) {
        Matcher written = WRITTEN.matcher(text.strip());
        return written.matches()
                ? Optional.of(new CaseSize(side(written, 1), side(written, 2), side(written, 3)))
                        .filter(size -> size.shortest() >= LEAST && size.longest() <= MOST)
                : Optional.empty();
    }

    private static int side(Matcher written, int group) {
        return Integer.parseInt(written.group(group));
    }

    private int shortest() {
        return Math.min(Math.min(length, width), height);
    }

    private int longest() {
        return Math.max(Math.max(length, width), height);
    }

    /** @return whether it goes into a bay as it stands: nobody turns a battery round to make it fit */
    public boolean fits(CaseSize bay) {
        return length <= bay.length && width <= bay.width && height <= bay.height;
    }

    /** @return whether it goes into a bay and sits in it without sliding by more than {@value #PLAY_MM} mm */
    public boolean sitsIn(CaseSize bay) {
        return fits(bay) && play(bay) <= PLAY_MM;
    }

    /** @return by how much it may slide in a bay that it fits into, mm */
    public int play(CaseSize bay) {
        return Math.max(bay.length - length, bay.width - width);
    }

    public String text() {
        return length + " × " + width + " × " + height;
    }
}
