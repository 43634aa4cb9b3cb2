/** People of the site: their roles, trainings and languages. */
@NullMarked
package org.ostendum.app.setup.people;

import org.jspecify.annotations.NullMarked;
