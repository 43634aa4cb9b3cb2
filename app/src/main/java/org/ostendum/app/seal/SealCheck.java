package org.ostendum.app.seal;

import java.security.PublicKey;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.ostendum.app.ledger.ChainHash;
import org.ostendum.app.ledger.ChainHead;
import org.ostendum.app.ledger.WrittenLine;
import org.ostendum.app.seal.SealFiles.Kept;

/** Holds chains against seals. Needs nothing but both, so that an export can be checked anywhere. */
final class SealCheck {
    private final List<SealProblem> problems = new ArrayList<>();
    private final Map<Long, Map<Integer, List<Sealed>>> expected = new HashMap<>();
    private final Set<Long> seen = new HashSet<>();
    private int lines;

    private record Sealed(String day, ChainHead head) {}

    /** @param seals oldest first */
    SealCheck(List<Kept> seals, PublicKey key) {
        String previous = Seal.FIRST;
        for (Kept kept : seals) {
            Optional<Seal> seal = kept.seal().filter(s -> s.isSignedBy(key));
            if (seal.isEmpty()) {
                problems.add(SealProblem.of("seal.forged", kept.day()));
                continue;
            }
            if (!seal.get().previous().equals(previous)) {
                problems.add(SealProblem.of("seal.missing", kept.day()));
            }
            previous = seal.get().hash();
            seal.get().heads().forEach(head -> expect(new Sealed(kept.day(), head)));
        }
    }

    private void expect(Sealed mark) {
        expected.computeIfAbsent(mark.head().batteryId(), b -> new HashMap<>())
                .computeIfAbsent(mark.head().seq(), s -> new ArrayList<>())
                .add(mark);
    }

    /** @param chain of one battery, oldest first */
    void take(String code, long batteryId, List<WrittenLine> chain) {
        seen.add(batteryId);
        lines += chain.size();
        String previous = ChainHash.BEFORE_FIRST;
        Map<Integer, String> hashes = new HashMap<>();
        boolean whole = true;
        for (WrittenLine line : chain) {
            if (whole && (line.seq() != hashes.size() + 1 || !line.follows(previous))) {
                problems.add(SealProblem.of("seal.broken", code, line.seq()));
                whole = false;
            }
            previous = line.hash();
            hashes.put(line.seq(), line.hash());
        }
        expected.getOrDefault(batteryId, Map.of()).values().stream()
                .flatMap(List::stream)
                .filter(mark ->
                        !mark.head().hash().equals(hashes.get(mark.head().seq())))
                .map(mark -> problem(mark, hashes.containsKey(mark.head().seq())))
                .findFirst()
                .ifPresent(problems::add);
    }

    private static SealProblem problem(Sealed mark, boolean isThere) {
        return SealProblem.of(
                isThere ? "seal.rewritten" : "seal.gone",
                mark.head().code(),
                mark.head().seq(),
                mark.day());
    }

    /** @return all that was found, when every chain has been taken */
    List<SealProblem> problems() {
        List<SealProblem> all = new ArrayList<>(problems);
        expected.forEach((battery, heads) -> {
            if (!seen.contains(battery)) {
                Sealed any = heads.values().iterator().next().get(0);
                all.add(problem(any, false));
            }
        });
        return all;
    }

    int lines() {
        return lines;
    }
}
