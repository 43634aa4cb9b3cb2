package org.ostendum.core.rulebook;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** The site's Rulebook at one revision. Immutable. */
public final class Rulebook {
    private final long revision;
    private final List<RuleChange> changes;
    private final Map<Long, Rules> byModel = new ConcurrentHashMap<>();

    /** @param changes every change, oldest first */
    public Rulebook(long revision, List<RuleChange> changes) {
        this.revision = revision;
        this.changes = List.copyOf(changes);
    }

    /** @return rises with every change, so that a verdict can tell whether it was judged by the rules of now */
    public long revision() {
        return revision;
    }

    public List<RuleChange> changes() {
        return changes;
    }

    /** How often a rule has been set or taken back, in whatever scope. */
    public int changesOf(RuleKey rule) {
        return (int) changes.stream().filter(c -> c.rule() == rule).count();
    }

    /** The rules for a model: defaults, then the site's, then the model's own. */
    public Rules rulesFor(long modelId) {
        return byModel.computeIfAbsent(modelId, id -> siteRules().with(set(id)));
    }

    public Rules siteRules() {
        return Rules.standard().with(set(null));
    }

    /** @return the change that is in force for the rule in this scope, if one is */
    public Optional<RuleChange> inForce(RuleKey rule, @Nullable Long modelId) {
        return changes.stream()
                .filter(c -> c.rule() == rule && Objects.equals(c.modelId(), modelId))
                .reduce((earlier, later) -> later)
                .filter(c -> c.value() != null);
    }

    private Map<RuleKey, BigDecimal> set(@Nullable Long modelId) {
        Map<RuleKey, BigDecimal> set = new EnumMap<>(RuleKey.class);
        for (RuleChange change : changes) {
            BigDecimal value = change.value();
            if (Objects.equals(change.modelId(), modelId)) {
                if (value == null) {
                    set.remove(change.rule());
                } else {
                    set.put(change.rule(), value);
                }
            }
        }
        return set;
    }
}
