package org.ostendum.core.state.fact;

import java.time.Instant;
import org.ostendum.core.defect.DefectKind;

/**
 * Something found wrong and not put right.
 *
 * @param id by which it is
 */
public record OpenDefect(String id, DefectKind kind, Instant since) {}
