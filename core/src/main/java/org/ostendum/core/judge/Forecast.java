package org.ostendum.core.judge;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * When a falling cell reaches its limit.
 *
 * @param crosses the likeliest day
 * @param early the earliest day the readings still allow
 * @param late the latest; null when they allow that the fall is so slow that no day can be named within ten years
 */
public record Forecast(LocalDate crosses, LocalDate early, @Nullable LocalDate late) {}
