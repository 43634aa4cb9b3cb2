package org.ostendum.app.people;

import static org.jooq.impl.DSL.when;
import static org.ostendum.app.db.jooq.Tables.PERSON;

import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.site.Site;
import org.ostendum.app.site.Sites;
import org.ostendum.core.measure.GravityForm;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.ostendum.core.people.Theme;
import org.springframework.stereotype.Repository;

/** The people of the site. */
@Repository
public class People {
    private final DSLContext sql;
    private final Sites sites;

    People(DSLContext sql, Sites sites) {
        this.sql = sql;
        this.sites = sites;
    }

    public Optional<Person> byLogin(String login) {
        return sql.selectFrom(PERSON).where(PERSON.LOGIN.eq(login)).fetchOptional(People::person);
    }

    /**
     * A person with what his sessions are held against.
     *
     * @param accessVersion counts what ends them: another role, another password, no more signing in
     */
    public record Entitled(Person person, int accessVersion) {}

    /** @return who may sign in under a login; empty for nobody, and for one who may no longer */
    public Optional<Entitled> entitled(String login) {
        return sql.selectFrom(PERSON)
                .where(PERSON.LOGIN.eq(login).and(PERSON.ACTIVE))
                .fetchOptional(r -> new Entitled(person(r), r.getAccessVersion()));
    }

    public Optional<Person> byId(long id) {
        return sql.selectFrom(PERSON).where(PERSON.ID.eq(id)).fetchOptional(People::person);
    }

    public String passwordHash(long id) {
        return sql.select(PERSON.PASSWORD_HASH)
                .from(PERSON)
                .where(PERSON.ID.eq(id))
                .fetchSingle(PERSON.PASSWORD_HASH);
    }

    public List<Person> all() {
        return sql.selectFrom(PERSON).orderBy(PERSON.NAME).fetch(People::person);
    }

    public boolean isEmpty() {
        return !sql.fetchExists(PERSON);
    }

    /** Adds somebody who begins with the units and the language of the site. */
    public long add(String login, String name, Role role, String passwordHash) {
        Site site = sites.site();
        return sql.insertInto(PERSON)
                .set(PERSON.LOGIN, login)
                .set(PERSON.NAME, name)
                .set(PERSON.ROLE, role.name())
                .set(PERSON.PASSWORD_HASH, passwordHash)
                .set(PERSON.TEMPERATURE_UNIT, site.fahrenheit() ? "FAHRENHEIT" : "CELSIUS")
                .set(PERSON.MEASURES, site.usMeasures() ? "US" : "METRIC")
                .set(PERSON.LANGUAGE, site.language().name())
                .returningResult(PERSON.ID)
                .fetchSingle()
                .value1();
    }

    /** How often it has been changed; by it a change of what somebody else has changed meanwhile is known. */
    public int version(long id) {
        return sql.select(PERSON.VERSION)
                .from(PERSON)
                .where(PERSON.ID.eq(id))
                .fetchSingle()
                .value1();
    }

    /**
     * @param seen version that was shown; null for one never shown
     * @return whether it was changed: not where somebody else has changed it since
     */
    public boolean change(long id, @Nullable Integer seen, String name, Role role, boolean active) {
        Condition rightsStay = PERSON.ROLE.eq(role.name()).and(PERSON.ACTIVE.eq(active));
        return sql.update(PERSON)
                        // First, for MariaDB sets one column after the other.
                        .set(
                                PERSON.ACCESS_VERSION,
                                PERSON.ACCESS_VERSION.plus(when(rightsStay, 0).otherwise(1)))
                        .set(PERSON.NAME, name)
                        .set(PERSON.ROLE, role.name())
                        .set(PERSON.ACTIVE, active)
                        .set(PERSON.VERSION, PERSON.VERSION.plus(1))
                        .where(PERSON.ID.eq(id).and(PERSON.VERSION.eq(seen)))
                        .execute()
                == 1;
    }

    /** Ends every session of the person. */
    public void changePassword(long id, String passwordHash) {
        sql.update(PERSON)
                .set(PERSON.PASSWORD_HASH, passwordHash)
                .set(PERSON.ACCESS_VERSION, PERSON.ACCESS_VERSION.plus(1))
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
                .set(PERSON.THEME, person.theme().name())
                .set(PERSON.LANGUAGE, person.language().name())
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
                Theme.valueOf(r.get(PERSON.THEME)),
                Language.valueOf(r.get(PERSON.LANGUAGE)));
    }
}
