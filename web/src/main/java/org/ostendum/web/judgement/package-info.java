@NullMarked
package org.ostendum.web.judgement;

import org.jspecify.annotations.NullMarked;
