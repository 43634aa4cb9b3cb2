create table if not exists photo (
  id bigint not null auto_increment,
  job_id bigint not null,
  name varchar(120) not null,
  media_type varchar(20) not null,
  width int not null,
  height int not null,
  sha256 char(64) not null,
  content mediumblob not null,
  thumbnail mediumblob not null,
  added_at datetime(6) not null,
  added_by bigint not null,
  primary key (id),
  constraint photo_job foreign key (job_id) references job (id),
  constraint photo_added_by foreign key (added_by) references person (id),
  constraint photo_once unique (job_id, sha256),
  constraint photo_type_known check (media_type in ('image/jpeg', 'image/png'))
);

create table if not exists voltage_reading (
  ledger_entry_id bigint not null,
  place smallint not null,
  millivolts int not null,
  primary key (ledger_entry_id, place),
  constraint voltage_ledger foreign key (ledger_entry_id) references ledger_entry (id),
  constraint voltage_place_possible check (place between 1 and 144),
  constraint voltage_possible check (millivolts between -20000 and 20000)
);

alter table battery_state add column wash_at datetime(6) null;

alter table battery_model add column date_scheme varchar(20) not null default 'LETTER_DIGIT';
alter table battery_model add column post_torque_nm decimal(4, 1) null;

/* [jooq ignore start] */
alter table battery_model add constraint model_scheme_known check (date_scheme in (
  'LETTER_DIGIT', 'LETTER_DIGIT_NO_I', 'DIGIT_LETTER', 'MONTH_YEAR', 'WEEK_YEAR'));
alter table battery_model add constraint model_torque_possible check (post_torque_nm between 1 and 60);
alter table ledger_entry drop constraint ledger_kind_known;
alter table ledger_entry add constraint ledger_kind_known check (kind in (
  'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE',
  'JOB', 'VOLTAGE'));
/* [jooq ignore stop] */
