-- A tap is moved about once a year: by this it is known when the year is over.
alter table tap add column since datetime(6) not null default current_timestamp(6);

-- How the blocks of one pack stand, where they do not stand as its model's.
create table pack_layout (
  battery_id bigint not null primary key,
  layout varchar(400) not null,
  constraint pack_layout_battery foreign key (battery_id) references battery (id)
);

-- What is known of one cable of one pack.
create table pack_cable (
  battery_id bigint not null,
  number varchar(8) not null,
  length_cm smallint null,
  lug varchar(60) not null,
  remark varchar(200) not null,
  primary key (battery_id, number),
  constraint pack_cable_battery foreign key (battery_id) references battery (id)
);

-- The fold tells more of the cells: what was folded before is folded anew.
delete from battery_state;

-- Title of a job while nothing else is to be done with its battery; null for a job that does not keep it from other work.
alter table job add column holds_as varchar(200) null;

create index ledger_of_kind on ledger_entry (kind, battery_id);

/* [jooq ignore start] */
alter table station drop constraint station_kind_known;
alter table station add constraint station_kind_known check (kind in (
  'EYEWASH_FLUSH', 'EYEWASH_INSPECTION', 'SHOWER', 'SPILL_KIT', 'VENTILATION', 'EXTINGUISHER', 'TOOLS', 'SIGNS', 'CHANGER'));
alter table ledger_entry drop constraint ledger_kind_known;
alter table ledger_entry add constraint ledger_kind_known check (kind in (
  'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE',
  'JOB', 'VOLTAGE', 'STANDING_FLAT', 'CELL_REPLACED', 'CELL_BRIDGED', 'BLOCKS_MOVED', 'TEMPERATURE_MAX', 'DREW_OFF', 'LEVEL',
  'TEMPERATURE', 'ACID_ADJUSTED', 'CHARGER_CHECKED', 'DEFECT', 'DEFECT_RIGHTED', 'HELD', 'RELEASED', 'COMMISSIONED', 'STORED',
  'RETIRED'));
/* [jooq ignore stop] */
