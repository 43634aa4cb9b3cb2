create table if not exists round (
  id bigint not null auto_increment,
  battery_id bigint not null,
  opened_at datetime(6) not null,
  opened_by bigint not null,
  state varchar(14) not null,
  coverage varchar(8) not null,
  pilot_cell smallint null,
  taken_at datetime(6) null,
  temperature_tenths smallint null,
  doubts varchar(60) null,
  ledger_entry_id bigint null,
  open_battery_id bigint null,
  primary key (id),
  constraint round_battery foreign key (battery_id) references battery (id),
  constraint round_opened_by foreign key (opened_by) references person (id),
  constraint round_ledger foreign key (ledger_entry_id) references ledger_entry (id),
  constraint round_one_open unique (open_battery_id),
  constraint round_state_known check (state in ('FULL_CHARGE', 'AFTER_EQUALISE', 'IN_SERVICE', 'REST', 'UNKNOWN')),
  constraint round_coverage_known check (coverage in ('WHOLE', 'PARTIAL', 'PILOT')),
  constraint round_open_or_closed check (
    (open_battery_id is null and taken_at is not null and ledger_entry_id is not null)
    or (open_battery_id = battery_id and taken_at is null and ledger_entry_id is null))
);

create index round_by_time on round (battery_id, taken_at);

create table if not exists round_value (
  id bigint not null auto_increment,
  round_id bigint not null,
  client_key char(36) not null,
  cell smallint not null,
  field varchar(12) not null,
  value varchar(20) null,
  recorded_at datetime(6) not null,
  person_id bigint not null,
  primary key (id),
  constraint value_round foreign key (round_id) references round (id),
  constraint value_person foreign key (person_id) references person (id),
  constraint value_once unique (client_key),
  constraint value_cell_possible check (cell between 0 and 144),
  constraint value_field_known check (field in ('GRAVITY', 'TOO_LOW', 'LEVEL', 'COLOUR', 'TEMPERATURE', 'SKIPPED'))
);

create index value_by_cell on round_value (round_id, cell, field, id);

create table if not exists cell_reading (
  battery_id bigint not null,
  round_id bigint not null,
  cell smallint not null,
  revision smallint not null,
  sg_points smallint null,
  too_low boolean not null,
  confirmed boolean not null,
  temperature_tenths smallint null,
  millivolts int null,
  on_charge boolean not null,
  level_seen varchar(8) null,
  colour varchar(10) null,
  primary key (battery_id, round_id, cell, revision),
  constraint reading_round foreign key (round_id) references round (id),
  constraint reading_cell_possible check (cell between 1 and 144),
  constraint reading_gravity_possible check (sg_points between 1000 and 1400),
  constraint reading_temperature_possible check (temperature_tenths between -700 and 1200),
  constraint reading_level_known check (level_seen in ('EXPOSED', 'LOW', 'RIGHT', 'OVER')),
  constraint reading_colour_known check (colour in ('CLEAR', 'BROWN', 'MILKY', 'PARTICLES'))
);
