create table if not exists device (
  id bigint not null auto_increment,
  kind varchar(8) not null,
  host varchar(120) not null,
  port int not null,
  unit smallint not null,
  register_no int not null,
  charger_id bigint null,
  battery_id bigint null,
  room_id bigint null,
  primary key (id),
  constraint device_address_once unique (host, port, unit, register_no),
  constraint device_charger foreign key (charger_id) references charger (id),
  constraint device_battery foreign key (battery_id) references battery (id),
  constraint device_room foreign key (room_id) references room (id),
  constraint device_kind_known check (kind in ('CHARGER', 'TAG', 'AIR', 'CART')),
  constraint device_of_something check (
    (kind = 'CHARGER') = (charger_id is not null) and (kind = 'TAG') = (battery_id is not null)
    and (kind in ('AIR', 'CART')) = (room_id is not null)),
  constraint device_port_possible check (port between 1 and 65535),
  constraint device_unit_possible check (unit between 1 and 247),
  constraint device_register_possible check (register_no between 0 and 65535)
);

create table if not exists charge_run (
  id bigint not null auto_increment,
  battery_id bigint not null,
  charger_id bigint null,
  kind varchar(12) not null,
  begun_at datetime(6) not null,
  ended_at datetime(6) null,
  open_battery_id bigint null,
  open_charger_id bigint null,
  amps_tenths int null,
  minutes int null,
  device_starts int null,
  current_from datetime(6) null,
  lamp_at datetime(6) null,
  ah_tenths int null,
  ah_before_tenths int not null default 0,
  wh_before bigint null,
  wh bigint null,
  celsius_most smallint null,
  primary key (id),
  constraint charge_run_battery foreign key (battery_id) references battery (id),
  constraint charge_run_charger foreign key (charger_id) references charger (id),
  constraint charge_run_one_open unique (open_battery_id),
  constraint charge_run_one_on_charger unique (open_charger_id),
  constraint charge_run_kind_known check (
    kind in ('CONVENTIONAL', 'OPPORTUNITY', 'AFTER_USE', 'EQUALISE', 'SULFATED', 'STORAGE', 'INITIAL', 'RECOVERY'))
);

create index charge_run_by_charger on charge_run (charger_id, begun_at);

create index charge_run_by_battery on charge_run (battery_id, begun_at);

create table if not exists charger_event (
  id bigint not null auto_increment,
  charger_id bigint not null,
  at datetime(6) not null,
  kind varchar(10) not null,
  battery_id bigint null,
  person_id bigint null,
  told varchar(600) not null,
  primary key (id),
  constraint charger_event_charger foreign key (charger_id) references charger (id),
  constraint charger_event_battery foreign key (battery_id) references battery (id),
  constraint charger_event_person foreign key (person_id) references person (id),
  constraint charger_event_kind_known check (kind in ('REFUSED', 'TROUBLE'))
);

create index charger_event_by_charger on charger_event (charger_id, at);

create table if not exists alarm (
  id bigint not null auto_increment,
  kind varchar(20) not null,
  about varchar(80) not null,
  battery_id bigint null,
  charger_id bigint null,
  room_id bigint null,
  sentence text not null,
  raised_at datetime(6) not null,
  cleared_at datetime(6) null,
  acknowledged_at datetime(6) null,
  acknowledged_by bigint null,
  done varchar(400) null,
  open_key varchar(120) null,
  primary key (id),
  constraint alarm_one_open unique (open_key),
  constraint alarm_battery foreign key (battery_id) references battery (id),
  constraint alarm_charger foreign key (charger_id) references charger (id),
  constraint alarm_room foreign key (room_id) references room (id),
  constraint alarm_by foreign key (acknowledged_by) references person (id),
  constraint alarm_standing_has_key check ((open_key is null) = (cleared_at is not null))
);

create index alarm_by_time on alarm (raised_at);

create index alarm_unacknowledged on alarm (acknowledged_at);

alter table charge_sample modify column person_id bigint null;

create table if not exists charge_fold (
  folded_before datetime(6) not null,
  primary key (folded_before)
);
