/** Alarms reach people who do not look: by mail or by a call of another program, by person, kind and hours, until somebody has seen them. */
@NullMarked
package org.ostendum.app.notice;

import org.jspecify.annotations.NullMarked;
