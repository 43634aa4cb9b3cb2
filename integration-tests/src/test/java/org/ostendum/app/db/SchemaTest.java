package org.ostendum.app.db;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.jooq.DSLContext;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.support.ApplicationTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;

/** What the database itself refuses, whatever the code above it does. */
class SchemaTest extends ApplicationTest {
    @Autowired
    private DSLContext sql;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            update battery set slot_id = (select id from slot limit 1), machine_id = (select id from machine limit 1) where code = 'T-19' | battery_in_one_place
            update battery set code = 'T-18' where code = 'T-19'                                  | battery_code_once
            update battery set serial = (select serial from (select serial from battery where code = 'T-18') s) where code = 'T-19' | battery_serial_once
            update battery set model_id = 999999 where code = 'T-19'                              | battery_model_known
            update battery set water_owner_id = 999999 where code = 'T-19'                        | battery_water_owner
            update battery_model set sg_empty = 1280 limit 1                                      | model_marks_rise
            update battery_model set cells = 200 limit 1                                          | model_cells_possible
            update battery_model set kind = 'NICKEL' limit 1                                      | model_kind_known
            update machine set weight_from_kg = 900, weight_to_kg = 800 limit 1                   | machine_plate_rises
            update person set role = 'KING' where login = 'tom'                                   | person_role_known
            update person set login = 'ines' where login = 'tom'                                  | person_login_once
            insert into slot (stand_id, number, code) values ((select id from stand limit 1), 1, 'Z 1') | slot_number_once
            insert into slot (stand_id, number, code) values ((select id from stand limit 1), 61, 'Z 2') | slot_number_possible
            update charger set amps = 0 limit 1                                                   | charger_amps_possible
            update room set width_cm = 5 limit 1                                                  | room_size_possible
            update round set taken_at = null where open_battery_id is null limit 1                | round_open_or_closed
            insert into round (battery_id, open_battery_id, opened_at, opened_by, state, coverage) values (1, 2, now(), 1, 'REST', 'WHOLE') | round_open_or_closed
            insert into cell_reading (battery_id, round_id, cell, revision, sg_points, too_low, confirmed, on_charge) values (1, (select min(id) from round), 144, 1, 1401, false, false, false) | reading_gravity_possible
            insert into cell_reading (battery_id, round_id, cell, revision, too_low, confirmed, on_charge) values (1, (select min(id) from round), 145, 1, false, false, false) | reading_cell_possible
            insert into rule_change (rule_key, value, reason, person_id, changed_at) values ('x', 1, 'ok', 1, now()) | rule_change_reasoned
            update ledger_entry set quantity = 1 limit 1                                          | append-only
            delete from ledger_entry limit 1                                                      | append-only
            update cell_reading set sg_points = 1265 limit 1                                      | append-only
            delete from cell_reading limit 1                                                      | append-only
            """)
    void anImpossibleStateIsRefused(String statement, String by) {
        assertThatThrownBy(() -> sql.execute(statement))
                .isInstanceOf(DataAccessException.class)
                .hasMessageContaining(by);
    }
}
