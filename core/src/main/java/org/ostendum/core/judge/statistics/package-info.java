@NullMarked
package org.ostendum.core.judge.statistics;

import org.jspecify.annotations.NullMarked;
