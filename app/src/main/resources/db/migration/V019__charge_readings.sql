create table if not exists charge_sample (
  battery_id bigint not null,
  at datetime(6) not null,
  millivolts int not null,
  amps_tenths int not null,
  celsius_tenths smallint null,
  person_id bigint not null,
  primary key (battery_id, at),
  constraint charge_sample_battery foreign key (battery_id) references battery (id),
  constraint charge_sample_person foreign key (person_id) references person (id),
  constraint charge_sample_volts_possible check (millivolts between 0 and 500000),
  constraint charge_sample_amps_possible check (amps_tenths between 0 and 50000),
  constraint charge_sample_celsius_possible check (celsius_tenths between -400 and 1000)
);

create table if not exists charge_pilot (
  battery_id bigint not null,
  at datetime(6) not null,
  sg_points smallint not null,
  celsius_tenths smallint not null,
  person_id bigint not null,
  primary key (battery_id, at),
  constraint charge_pilot_battery foreign key (battery_id) references battery (id),
  constraint charge_pilot_person foreign key (person_id) references person (id),
  constraint charge_pilot_gravity_possible check (sg_points between 1000 and 1400),
  constraint charge_pilot_celsius_possible check (celsius_tenths between -400 and 1000)
);
