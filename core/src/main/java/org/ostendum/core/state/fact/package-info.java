/** What is known of a battery, subject by subject, each fact moved by events and nothing else. */
@NullMarked
package org.ostendum.core.state.fact;

import org.jspecify.annotations.NullMarked;
