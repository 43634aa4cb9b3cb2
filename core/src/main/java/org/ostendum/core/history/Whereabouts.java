package org.ostendum.core.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Where one battery has been: a stay in one place after another, without a gap.
 *
 * @param stays oldest first; the last one lasts
 */
public record Whereabouts(List<Stay> stays) {
    public Whereabouts {
        stays = List.copyOf(stays);
    }

    /**
     * A line that tells a move.
     *
     * @param from null where it was in no place, or nobody has said
     * @param to null for no place
     */
    public record Move(Instant at, @Nullable String from, @Nullable String to) {}

    /**
     * @param place code of a machine or words of a slot; null for none, or where nobody knows
     * @param from null from the beginning of the records
     * @param to null while it lasts
     */
    public record Stay(@Nullable String place, @Nullable Instant from, @Nullable Instant to) {
        boolean holds(Instant at) {
            return (from == null || !at.isBefore(from)) && (to == null || at.isBefore(to));
        }
    }

    /**
     * @param moves of the battery, in any order
     * @param now where it is; null for no place
     */
    public static Whereabouts of(List<Move> moves, @Nullable String now) {
        List<Move> inOrder =
                moves.stream().sorted(Comparator.comparing(Move::at)).toList();
        List<Stay> stays = new ArrayList<>();
        @Nullable Instant since = null;
        for (int i = 0; i < inOrder.size(); i++) {
            Move move = inOrder.get(i);
            String before = i == 0 ? move.from() : inOrder.get(i - 1).to();
            stays.add(new Stay(before, since, move.at()));
            since = move.at();
        }
        stays.add(new Stay(now, since, null));
        return new Whereabouts(stays);
    }

    /** @return where it was at a moment; empty for no place, or where nobody knows */
    public Optional<String> at(Instant moment) {
        return stays.stream()
                .filter(stay -> stay.holds(moment))
                .findFirst()
                .flatMap(stay -> Optional.ofNullable(stay.place()));
    }

    /** @return its stays in a place, oldest first */
    public List<Stay> in(String place) {
        return stays.stream().filter(stay -> place.equals(stay.place())).toList();
    }
}
