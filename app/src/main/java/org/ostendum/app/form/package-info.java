/** Forms: what was typed, bound and checked by one mechanism, and what is wrong with it in words beside each field. */
@NullMarked
package org.ostendum.app.form;

import org.jspecify.annotations.NullMarked;
