-- One state of each battery, folded from its events: a projection that can be made anew at any time.
drop table battery_state;

create table battery_state (
  battery_id bigint not null,
  round_id bigint null,
  severity varchar(5) not null,
  snapshot mediumtext not null,
  rules_revision bigint not null,
  primary key (battery_id),
  constraint state_battery foreign key (battery_id) references battery (id),
  constraint state_round foreign key (round_id) references round (id),
  constraint state_severity_known check (severity in ('FIT', 'WATCH', 'ACT', 'STOP'))
);

alter table machine add column volts smallint null;

alter table machine add column connector varchar(40) not null default '';

alter table round add column voided_by bigint null;

alter table round add column set_aside varchar(400) null;

/* [jooq ignore start] */
alter table machine add constraint machine_volts_possible check (volts between 2 and 288);
alter table round add constraint round_voided_by foreign key (voided_by) references ledger_entry (id);
alter table ledger_entry drop constraint ledger_kind_known;
alter table ledger_entry add constraint ledger_kind_known check (kind in (
  'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE',
  'JOB', 'VOLTAGE', 'STANDING_FLAT', 'CELL_REPLACED', 'TEMPERATURE_MAX', 'DREW_OFF', 'LEVEL', 'TEMPERATURE', 'ACID_ADJUSTED',
  'CHARGER_CHECKED', 'DEFECT', 'DEFECT_RIGHTED', 'HELD', 'RELEASED', 'COMMISSIONED', 'STORED', 'RETIRED'));
alter table job_event drop constraint event_kind_known;
alter table job_event add constraint event_kind_known check (kind in (
  'DONE', 'SKIPPED', 'TAKEN_BACK', 'TIMER_STARTED', 'ROW', 'PAUSED', 'RESUMED', 'HANDED_OVER', 'STOPPED', 'GATE_OVERRIDDEN',
  'GATE_LOOKED', 'FINISHED'));
/* [jooq ignore stop] */
