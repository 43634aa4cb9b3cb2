package org.ostendum.app.db;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.flywaydb.core.api.callback.BaseCallback;
import org.flywaydb.core.api.callback.Context;
import org.flywaydb.core.api.callback.Event;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Gives the application's database user its rights after the tables have been made by another: what is past it may read and add to,
 * and no more. Where both are one user nothing is given.
 */
@Component
public class RightsOfTheApplication extends BaseCallback {
    /** Of these no row is ever changed or taken out. */
    static final Set<String> PAST =
            Set.of("ledger_entry", "cell_reading", "round_value", "job_event", "voltage_reading", "rule_change");

    private static final String HISTORY_OF_MIGRATIONS = "flyway_schema_history";

    private final String user;

    /** @param user by whom the application works */
    RightsOfTheApplication(@Value("${spring.datasource.username}") String user) {
        this.user = user;
    }

    @Override
    public boolean supports(Event event, Context context) {
        return event == Event.AFTER_MIGRATE;
    }

    @Override
    public boolean canHandleInTransaction(Event event, Context context) {
        return false;
    }

    @Override
    public void handle(Event event, Context context) {
        try {
            Connection owner = context.getConnection();
            if (!userOf(owner).equals(user)) {
                give(owner);
            }
        } catch (SQLException e) {
            throw new IllegalStateException("The rights of the database user " + user + " could not be set", e);
        }
    }

    private static String userOf(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select substring_index(current_user(), '@', 1)")) {
            return row.next() ? row.getString(1) : "";
        }
    }

    private void give(Connection owner) throws SQLException {
        for (String table : tables(owner)) {
            if (!table.equals(HISTORY_OF_MIGRATIONS)) {
                String rights = PAST.contains(table) ? "select, insert" : "select, insert, update, delete";
                try (Statement statement = owner.createStatement()) {
                    statement.execute("grant " + rights + " on `" + table + "` to '" + user + "'@'%'");
                }
            }
        }
    }

    private static List<String> tables(Connection owner) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = owner.createStatement();
                ResultSet rows = statement.executeQuery("select table_name from information_schema.tables"
                        + " where table_schema = database() and table_type = 'BASE TABLE'")) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    @Override
    public String getCallbackName() {
        return "rights of the application";
    }
}
