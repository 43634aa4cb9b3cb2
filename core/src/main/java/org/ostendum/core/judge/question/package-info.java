@NullMarked
package org.ostendum.core.judge.question;

import org.jspecify.annotations.NullMarked;
