package org.ostendum.app.db;

import org.flywaydb.core.api.exception.FlywayValidateException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in words why a program does not start on a database that another version has changed. */
public final class NewerDatabase extends AbstractFailureAnalyzer<FlywayValidateException> {
    @Override
    protected @Nullable FailureAnalysis analyze(Throwable root, FlywayValidateException cause) {
        return new FailureAnalysis(
                "The database is not one that this version of Ostendum has made or can go on with: it was changed by a newer one,"
                        + " or its migrations are not these. " + cause.getMessage(),
                "Start the newer version again, or restore a backup of this one: ./ostendum restore FILE. Nothing was changed.",
                cause);
    }
}
