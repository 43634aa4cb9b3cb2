package org.ostendum.app.fleetfile;

import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;

/** Where stands lie around their places. Lengths in cm from the back left corner of the room. */
final class StandShape {
    private static final int PLACE_WIDTH = 100;
    private static final int PLACE_DEPTH = 120;
    private static final int AISLE = 150;
    private static final int MARGIN = 50;
    private static final int LONGEST_CODE = 20;
    private static final Pattern NUMBERED = Pattern.compile("(.*?)[\\s-]*(\\d{1,4})");

    private StandShape() {}

    /** The back left corner of a place. */
    record Corner(int x, int y) {}

    record Rectangle(int x, int y, int width, int depth) {
        static Rectangle of(Stand stand) {
            return new Rectangle(stand.xCm(), stand.yCm(), stand.widthCm(), stand.depthCm());
        }

        Stand stand(long id, String code, String name, StandKind kind) {
            return new Stand(id, code, name, kind, x, y, width, depth, List.of());
        }
    }

    /** @return the corner of the place at an index: they lie side by side along the longer side */
    static Corner corner(Stand stand, int index) {
        int count = stand.slots().size();
        return stand.widthCm() >= stand.depthCm()
                ? new Corner(stand.xCm() + Math.round((float) index * stand.widthCm() / count), stand.yCm())
                : new Corner(stand.xCm(), stand.yCm() + Math.round((float) index * stand.depthCm() / count));
    }

    /** @return the rectangle around places with such corners; the stand as it was says how wide they are where they do not */
    static Rectangle around(List<Corner> corners, Stand was) {
        int left = corners.stream().mapToInt(Corner::x).min().orElseThrow();
        int right = corners.stream().mapToInt(Corner::x).max().orElseThrow();
        int back = corners.stream().mapToInt(Corner::y).min().orElseThrow();
        int front = corners.stream().mapToInt(Corner::y).max().orElseThrow();
        boolean sideBySide = right - left >= front - back;
        int across = Math.max(1, corners.size() - 1);
        int pitch = Math.max(right - left, front - back) / across;
        int step = pitch == 0 ? PLACE_WIDTH : pitch;
        int thick = Math.min(Math.min(was.widthCm(), was.depthCm()), step * corners.size());
        return sideBySide
                ? new Rectangle(left, back, right - left + step, front - back + thick)
                : new Rectangle(left, back, right - left + thick, front - back + step);
    }

    /** @return a rectangle for so many places, in front of what stands there */
    static Rectangle below(List<Stand> stands, int places) {
        int front = stands.stream().mapToInt(s -> s.yCm() + s.depthCm()).max().orElse(MARGIN - AISLE);
        return new Rectangle(MARGIN, front + AISLE, places * PLACE_WIDTH, PLACE_DEPTH);
    }

    /** "Stand A" of "Stand A 3". */
    static String standOf(String place) {
        Matcher numbered = NUMBERED.matcher(place);
        String name = numbered.matches() ? numbered.group(1).strip() : place;
        return name.isEmpty() ? "Stand" : name;
    }

    /** @return the number at the end of the code, or the first that is free; 0 where none is */
    static int number(String place, Map<Integer, String> taken, int most) {
        Matcher numbered = NUMBERED.matcher(place);
        int wanted = numbered.matches() ? Integer.parseInt(numbered.group(2)) : 0;
        if (wanted >= 1 && wanted <= most && taken.getOrDefault(wanted, place).equals(place)) {
            return wanted;
        }
        for (int number = 1; number <= most; number++) {
            if (!taken.containsKey(number)) {
                return number;
            }
        }
        return 0;
    }

    /** @return a code that can stand in an address, made of a name */
    static String freeCode(String name, Predicate<String> taken) {
        String plain = name.replaceFirst("(?i)^stand\\s+", "").replaceAll("[^A-Za-z0-9-]+", "-");
        String bare = plain.replaceAll("^-+|-+$", "");
        String start = bare.isEmpty() ? "S" : bare.substring(0, Math.min(LONGEST_CODE - 3, bare.length()));
        String code = start;
        for (int n = 2; taken.test(code); n++) {
            code = start + "-" + n;
        }
        return code;
    }
}
