package org.ostendum.web.draw;

/** A post as drawn. */
public record Post(Point at, boolean positive) {}
