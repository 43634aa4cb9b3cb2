package org.ostendum.app.people;

import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.ostendum.core.measure.GravityForm;
import org.springframework.stereotype.Repository;

/** The people of the site. */
@Repository
public class People {
    private final DSLContext sql;

    People(DSLContext sql) {
        this.sql = sql;
    }

    public Optional<Person> byLogin(String login) {
        return sql.selectFrom(PERSON).where(PERSON.LOGIN.eq(login)).fetchOptional(People::person);
    }

    public Optional<Person> byId(long id) {
        return sql.selectFrom(PERSON).where(PERSON.ID.eq(id)).fetchOptional(People::person);
    }

    public Optional<String> passwordHash(String login) {
        return sql.select(PERSON.PASSWORD_HASH)
                .from(PERSON)
                .where(PERSON.LOGIN.eq(login).and(PERSON.ACTIVE))
                .fetchOptional(PERSON.PASSWORD_HASH);
    }

    public List<Person> all() {
        return sql.selectFrom(PERSON).orderBy(PERSON.NAME).fetch(People::person);
    }

    public boolean isEmpty() {
        return !sql.fetchExists(PERSON);
    }

    public long add(String login, String name, Role role, String passwordHash) {
        return sql.insertInto(PERSON)
                .set(PERSON.LOGIN, login)
                .set(PERSON.NAME, name)
                .set(PERSON.ROLE, role.name())
                .set(PERSON.PASSWORD_HASH, passwordHash)
                .returningResult(PERSON.ID)
                .fetchSingle()
                .value1();
    }

    public void change(long id, String name, Role role, boolean active) {
        sql.update(PERSON)
                .set(PERSON.NAME, name)
                .set(PERSON.ROLE, role.name())
                .set(PERSON.ACTIVE, active)
                .where(PERSON.ID.eq(id))
                .execute();
    }

    public void changePassword(long id, String passwordHash) {
        sql.update(PERSON)
                .set(PERSON.PASSWORD_HASH, passwordHash)
                .where(PERSON.ID.eq(id))
                .execute();
    }

    /** Keeps how the person likes figures typed and shown. */
    public void keepPreferences(Person person) {
        sql.update(PERSON)
                .set(PERSON.GRAVITY_FORM, person.gravityForm().name())
                .set(PERSON.GRAVITY_SHOWN, person.shownAsPoints() ? "POINTS" : "DECIMAL")
                .set(PERSON.TEMPERATURE_UNIT, person.fahrenheit() ? "FAHRENHEIT" : "CELSIUS")
                .set(PERSON.MEASURES, person.usMeasures() ? "US" : "METRIC")
                .set(PERSON.THEME, person.night() ? "NIGHT" : "DAY")
                .where(PERSON.ID.eq(person.id()))
                .execute();
    }

    private static Person person(Record r) {
        return new Person(
                r.get(PERSON.ID),
                r.get(PERSON.LOGIN),
                r.get(PERSON.NAME),
                Role.valueOf(r.get(PERSON.ROLE)),
                r.get(PERSON.ACTIVE),
                GravityForm.valueOf(r.get(PERSON.GRAVITY_FORM)),
                r.get(PERSON.GRAVITY_SHOWN).equals("POINTS"),
                r.get(PERSON.TEMPERATURE_UNIT).equals("FAHRENHEIT"),
                r.get(PERSON.MEASURES).equals("US"),
                r.get(PERSON.THEME).equals("NIGHT"));
    }
}
