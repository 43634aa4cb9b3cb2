package org.ostendum.app.draw;

/** A post as drawn. */
public record Post(Point at, boolean positive) {}
