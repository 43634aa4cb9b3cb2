alter table battery_state add column course mediumtext null;

-- Projections of before hold no course: they are made anew when they are next asked for.
/* [jooq ignore start] */
delete from battery_state;
/* [jooq ignore stop] */

alter table battery_model add column price_new decimal(9, 2) null;

alter table battery_model add column price_cell decimal(9, 2) null;

alter table battery_model add column core_credit decimal(9, 2) null;

alter table battery_model add column life_cycles smallint null;
