create table if not exists room (
  id bigint not null auto_increment,
  code varchar(20) not null,
  name varchar(80) not null,
  width_cm int not null,
  depth_cm int not null,
  primary key (id),
  constraint room_code_once unique (code),
  constraint room_size_possible check (width_cm between 100 and 20000 and depth_cm between 100 and 20000)
);

create table if not exists stand (
  id bigint not null auto_increment,
  room_id bigint not null,
  code varchar(20) not null,
  name varchar(60) not null,
  kind varchar(8) not null,
  x_cm int not null,
  y_cm int not null,
  width_cm int not null,
  depth_cm int not null,
  primary key (id),
  constraint stand_room foreign key (room_id) references room (id),
  constraint stand_code_once unique (room_id, code),
  constraint stand_kind_known check (kind in ('STAND', 'PARKING', 'BENCH', 'DOOR'))
);

create table if not exists slot (
  id bigint not null auto_increment,
  stand_id bigint not null,
  number smallint not null,
  primary key (id),
  constraint slot_stand foreign key (stand_id) references stand (id),
  constraint slot_number_once unique (stand_id, number),
  constraint slot_number_possible check (number between 1 and 60)
);

create table if not exists charger (
  id bigint not null auto_increment,
  code varchar(20) not null,
  slot_id bigint not null,
  cells smallint not null,
  amps smallint not null,
  primary key (id),
  constraint charger_code_once unique (code),
  constraint charger_slot foreign key (slot_id) references slot (id),
  constraint charger_slot_once unique (slot_id),
  constraint charger_cells_possible check (cells between 1 and 144),
  constraint charger_amps_possible check (amps between 1 and 1000)
);
