package org.ostendum.app.db;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.ostendum.app.Ostendum;
import org.ostendum.app.support.MariaDbServer;
import org.springframework.boot.builder.SpringApplicationBuilder;

/** Tables made by one database user, worked with by another: who has the second one's password cannot change the past. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RightsOfTheApplicationTest {
    private MariaDbServer server;
    private Connection worker;

    @BeforeAll
    void tablesOfAnother() throws SQLException {
        server = new MariaDbServer(false);
        Flyway.configure()
                .dataSource(server.url(), "ostendum", "ostendum")
                .callbacks(new RightsOfTheApplication("worker"))
                .load()
                .migrate();
        worker = DriverManager.getConnection(server.url(), "worker", "worker");
    }

    @AfterAll
    void end() throws Exception {
        worker.close();
        server.kill();
    }

    private void say(String statement) throws SQLException {
        try (Statement said = worker.createStatement()) {
            said.execute(statement);
        }
    }

    @Test
    void thePastIsReadAndAddedTo() {
        for (String table : RightsOfTheApplication.PAST) {
            assertThatCode(() -> say("select count(*) from " + table)).doesNotThrowAnyException();
            assertThatCode(() -> say("insert into " + table + " select * from " + table + " where 1 = 0"))
                    .doesNotThrowAnyException();
        }
    }

    @Test
    void thePastIsNeitherChangedNorTakenOutNorUnguarded() {
        for (String table : RightsOfTheApplication.PAST) {
            for (String statement : new String[] {
                "delete from " + table,
                "truncate " + table,
                "drop table " + table,
                "alter table " + table + " add x int"
            }) {
                assertThatThrownBy(() -> say(statement)).as(statement).hasMessageContaining("denied");
            }
        }
        assertThatThrownBy(() -> say("update ledger_entry set payload = '{}'")).hasMessageContaining("denied");
        assertThatThrownBy(() -> say("update cell_reading set sg_points = 1200"))
                .hasMessageContaining("denied");
        assertThatThrownBy(() -> say("drop trigger ledger_entry_stays")).hasMessageContaining("denied");
        assertThatThrownBy(() -> say("create table other (a int)")).hasMessageContaining("denied");
    }

    @Test
    void whatIsNotPastIsWorkedWith() throws SQLException {
        say("update battery set version = version");
        say("delete from SPRING_SESSION");
        assertThat(worker.isValid(1)).isTrue();
    }

    /** On a machine with one user for both, nothing is given: he may have no right to give. */
    @Test
    void whoMakesTheTablesHimselfNeedsNothing() {
        assertThatCode(() -> Flyway.configure()
                        .dataSource(server.url(), "ostendum", "ostendum")
                        .callbacks(new RightsOfTheApplication("ostendum"))
                        .load()
                        .migrate())
                .doesNotThrowAnyException();
        assertThat(grants()).noneMatch(grant -> grant.contains("`battery`"));
    }

    private List<String> grants() {
        List<String> grants = new ArrayList<>();
        try (Connection owner = DriverManager.getConnection(server.url(), "ostendum", "ostendum");
                Statement statement = owner.createStatement();
                ResultSet rows = statement.executeQuery("show grants for current_user()")) {
            while (rows.next()) {
                grants.add(rows.getString(1));
            }
        } catch (SQLException e) {
            throw new IllegalStateException("grants", e);
        }
        return grants;
    }

    /** A program does not write into what a newer one has changed. */
    @Test
    void anOlderProgramDoesNotStart() throws Exception {
        try (Connection owner = DriverManager.getConnection(server.url(), "ostendum", "ostendum");
                Statement statement = owner.createStatement()) {
            statement.execute("insert into flyway_schema_history (installed_rank, version, description, type, script,"
                    + " checksum, installed_by, execution_time, success) values (999, '999', 'of the future', 'SQL',"
                    + " 'V999__of_the_future.sql', 1, 'x', 1, true)");
            assertThatThrownBy(() -> new SpringApplicationBuilder(Ostendum.class)
                            .logStartupInfo(false)
                            .run("--server.port=0", "--spring.datasource.url=" + server.url())
                            .close())
                    .hasRootCauseInstanceOf(FlywayValidateException.class)
                    .hasStackTraceContaining("999");
            statement.execute("delete from flyway_schema_history where version = '999'");
        }
    }
}
