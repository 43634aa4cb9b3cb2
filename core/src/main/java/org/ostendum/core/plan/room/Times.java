package org.ostendum.core.plan.room;

/** Minutes that things take; {@code plugMinutes} are reckoned as work of people and put nowhere in the plan. */
public record Times(int coolMinutes, int changeMinutes, int plugMinutes) {
    public static final Times USUAL = new Times(480, 15, 3);
}
