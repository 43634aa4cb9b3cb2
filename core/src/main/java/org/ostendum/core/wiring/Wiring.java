package org.ostendum.core.wiring;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a pack is wired at one moment: which cables are on, and where; which blocks stand in it, and which way each faces. Posts are named
 * by the drawing: {@code 3+} is where the plus of block 3 belongs, whatever stands there. A post is bare as soon as one of its cables is
 * off or worked on: its shroud is in the bag then. Immutable.
 */
public final class Wiring {
    private final Pack pack;
    /** By block: 1 as drawn, -1 turned round, 0 out. */
    private final int[] facing;

    private final Map<String, Ends> on;
    private final boolean switchedOff;
    private final @Nullable String workedOn;

    /** Where a cable sits; {@code to} is null for a tap lead. */
    public record Ends(Post from, @Nullable Post to) {}

    private Wiring(Pack pack, int[] facing, Map<String, Ends> on, boolean switchedOff, @Nullable String workedOn) {
        this.pack = pack;
        this.facing = facing;
        this.on = Collections.unmodifiableMap(on);
        this.switchedOff = switchedOff;
        this.workedOn = workedOn;
    }

    /** All blocks in and as drawn, all cables where they belong. */
    public static Wiring whole(Pack pack) {
        int[] facing = new int[pack.blocks()];
        Arrays.fill(facing, 1);
        Map<String, Ends> on = new LinkedHashMap<>();
        pack.cables().forEach(cable -> on.put(cable.number(), new Ends(cable.from(), cable.to())));
        return new Wiring(pack, facing, on, false, null);
    }

    /** All blocks in and as drawn, no cable on. */
    public static Wiring bare(Pack pack) {
        return new Wiring(pack, whole(pack).facing, new LinkedHashMap<>(), false, null);
    }

    /** The same with its main switch off, where it has one. */
    public Wiring switchedOff() {
        return new Wiring(pack, facing, on, true, workedOn);
    }

    /** The same while a cable is worked on; null for none. */
    public Wiring workedOn(@Nullable String cable) {
        return new Wiring(pack, facing, on, switchedOff, cable);
    }

    /** @return whether a current can pass a cable that is on */
    public boolean conducts(String cable) {
        return !switchedOff
                || pack.switched().filter(c -> c.number().equals(cable)).isEmpty();
    }

    public boolean isSwitchedOff() {
        return switchedOff;
    }

    /** @return whether a tool can come at a post */
    public boolean isBare(Post post) {
        return !pack.isShrouded(post)
                || pack.cables().stream()
                        .filter(cable -> cable.isAt(post))
                        .anyMatch(cable -> !on.containsKey(cable.number())
                                || cable.number().equals(workedOn));
    }

    public Pack pack() {
        return pack;
    }

    /** @return where a cable sits; empty while it is off */
    public Optional<Ends> ends(String cable) {
        return Optional.ofNullable(on.get(cable));
    }

    /** Cables that are on, by their numbers. */
    public Map<String, Ends> on() {
        return on;
    }

    /** @return 1 for a block as drawn, -1 for one turned round, 0 for one that is out */
    public int facing(int block) {
        return facing[block - 1];
    }

    /** The same with a cable taken off. */
    public Wiring without(String cable) {
        Map<String, Ends> rest = new LinkedHashMap<>(on);
        rest.remove(cable);
        return new Wiring(pack, facing, rest, switchedOff, workedOn);
    }

    /** The same with a cable put where it belongs. */
    public Wiring with(Cable cable) {
        return with(cable.number(), new Ends(cable.from(), cable.to()));
    }

    /** The same with a cable put somewhere. */
    public Wiring with(String cable, Ends ends) {
        Map<String, Ends> more = new LinkedHashMap<>(on);
        more.put(cable, ends);
        return new Wiring(pack, facing, more, switchedOff, workedOn);
    }

    /**
     * The same with a block out, put in as drawn, or put in turned round.
     *
     * @throws IllegalArgumentException where a cable still holds a block that is to come out
     */
    public Wiring with(int block, int faces) {
        boolean held = on.values().stream()
                .anyMatch(ends -> ends.from().place() == block
                        || (ends.to() != null && ends.to().place() == block));
        if (faces == 0 && held) {
            throw new IllegalArgumentException("Block " + block + " is still held by a cable");
        }
        int[] other = facing.clone();
        other[block - 1] = faces;
        return new Wiring(pack, other, on, switchedOff, workedOn);
    }
}
