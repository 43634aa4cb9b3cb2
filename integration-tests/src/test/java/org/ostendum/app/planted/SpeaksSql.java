package org.ostendum.app.planted;

import org.jooq.DSLContext;

record SpeaksSql(DSLContext sql) {}
