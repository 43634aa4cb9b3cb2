package org.ostendum.planner;

/**
 * What one charge draws and gives off in one half hour.
 *
 * @param half number of the half hour from the plan's beginning
 * @param watts drawn at any moment of it
 * @param millilitres of hydrogen an hour at any moment of it
 */
record Load(int half, long watts, long millilitres) {
    static final long SECONDS = 1800;
}
