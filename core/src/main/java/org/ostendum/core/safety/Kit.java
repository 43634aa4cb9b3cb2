package org.ostendum.core.safety;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** What belongs into a kit, item by item. */
public record Kit(List<KitItem> items) {
    /** Of a station that has no contents. */
    public static final Kit NONE = new Kit(List.of());

    public Kit {
        items = List.copyOf(items);
    }

    public boolean isWhole() {
        return items.stream().allMatch(KitItem::isThere);
    }

    public boolean isPast(LocalDate today) {
        return items.stream().anyMatch(item -> item.isPast(today));
    }

    /** @return what must be put in or renewed before the kit counts again */
    public List<KitItem> wanting(LocalDate today) {
        return items.stream().filter(item -> !item.isGood(today)).toList();
    }

    /** @return the item whose date comes first */
    public Optional<KitItem> firstToExpire() {
        return items.stream()
                .filter(item -> item.expires() != null)
                .min(Comparator.comparing(item -> Objects.requireNonNull(item.expires())));
    }
}
