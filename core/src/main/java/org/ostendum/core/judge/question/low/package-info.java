/** What lowers all cells of a battery at once: step by step or over months, in ordinary rounds or in equalised ones too. */
@NullMarked
package org.ostendum.core.judge.question.low;

import org.jspecify.annotations.NullMarked;
