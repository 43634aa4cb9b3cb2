-- Discharge tests with what was read in them; the result goes into the battery's ledger.
create table if not exists capacity_test (
  id bigint not null auto_increment,
  battery_id bigint not null,
  kind varchar(20) not null,
  amperes double not null,
  lasts_s int not null,
  cells smallint not null,
  cells_per_lead smallint not null,
  celsius double not null,
  by_bank boolean not null,
  bank_start int null,
  begun_at datetime(6) not null,
  begun_by bigint not null,
  doubts varchar(600) not null,
  state varchar(12) not null,
  interrupted_at datetime(6) null,
  ended_at datetime(6) null,
  ended_by bigint null,
  end_kind varchar(12) null,
  end_reason varchar(300) null,
  part double null,
  ledger_entry_id bigint null,
  open_battery_id bigint null,
  primary key (id),
  constraint capacity_test_battery foreign key (battery_id) references battery (id),
  constraint capacity_test_person foreign key (begun_by) references person (id),
  constraint capacity_test_ender foreign key (ended_by) references person (id),
  constraint capacity_test_once unique (open_battery_id)
);

create table if not exists capacity_row (
  test_id bigint not null,
  elapsed_s int not null,
  volts double not null,
  amperes double not null,
  leads varchar(600) not null,
  primary key (test_id, elapsed_s),
  constraint capacity_row_test foreign key (test_id) references capacity_test (id)
);

-- The fold tells more of tests and signatures: what was folded before is folded anew.
delete from battery_state;

/* [jooq ignore start] */
alter table ledger_entry drop constraint ledger_kind_known;
alter table ledger_entry add constraint ledger_kind_known check (kind in (
  'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE',
  'JOB', 'VOLTAGE', 'STANDING_FLAT', 'CELL_REPLACED', 'CELL_BRIDGED', 'BLOCKS_MOVED', 'TEMPERATURE_MAX', 'DREW_OFF', 'LEVEL',
  'TEMPERATURE', 'ACID_ADJUSTED', 'CHARGER_CHECKED', 'DEFECT', 'DEFECT_RIGHTED', 'HELD', 'RELEASED', 'COMMISSIONED', 'STORED',
  'RETIRED', 'CAPACITY', 'SIGNED'));
alter table device modify kind varchar(10) not null;
alter table device drop constraint device_kind_known;
alter table device add constraint device_kind_known check (kind in ('CHARGER', 'TAG', 'AIR', 'CART', 'LOAD_BANK'));
alter table device drop constraint device_of_something;
alter table device add constraint device_of_something check (
  (kind in ('AIR', 'CART', 'LOAD_BANK')) = (room_id is not null)
  and (kind = 'CHARGER') = (charger_id is not null)
  and (kind = 'TAG') = (battery_id is not null));
/* [jooq ignore stop] */
