-- The beam of a hoist; a changer without one is a roller bed or a cart.
create table changer_beam (
  station_id bigint not null primary key,
  first_mm smallint not null,
  step_mm smallint not null,
  notches smallint not null,
  chain_mm smallint not null,
  limit_kg smallint null,
  constraint changer_beam_station foreign key (station_id) references station (id) on delete cascade
);

-- How far apart the lifting eyes of a model are.
create table model_eyes (
  model_id bigint not null primary key,
  eyes_mm smallint not null,
  constraint model_eyes_model foreign key (model_id) references battery_model (id) on delete cascade
);

-- How high over the floor the rollers lie on which a battery stands: in a machine, on a tier of a stand.
create table machine_rollers (
  machine_id bigint not null primary key,
  height_mm smallint not null,
  constraint machine_rollers_machine foreign key (machine_id) references machine (id) on delete cascade
);

create table stand_rollers (
  stand_id bigint not null,
  tier smallint not null,
  height_mm smallint not null,
  primary key (stand_id, tier),
  constraint stand_rollers_stand foreign key (stand_id) references stand (id) on delete cascade
);
