create table if not exists machine (
  id bigint not null auto_increment,
  code varchar(20) not null,
  name varchar(80) not null,
  kind varchar(10) not null,
  weight_from_kg int null,
  weight_to_kg int null,
  slot_id bigint null,
  primary key (id),
  constraint machine_code_once unique (code),
  constraint machine_slot foreign key (slot_id) references slot (id),
  constraint machine_slot_once unique (slot_id),
  constraint machine_kind_known check (kind in ('FORKLIFT', 'GOLF_CAR', 'PLATFORM', 'AIRCRAFT')),
  constraint machine_plate_rises check (weight_from_kg <= weight_to_kg)
);

create table if not exists battery (
  id bigint not null auto_increment,
  code varchar(20) not null,
  serial varchar(40) not null,
  model_id bigint not null,
  made_on date null,
  in_service_on date not null,
  slot_id bigint null,
  machine_id bigint null,
  water_owner_id bigint null,
  primary key (id),
  constraint battery_code_once unique (code),
  constraint battery_serial_once unique (serial),
  constraint battery_model_known foreign key (model_id) references battery_model (id),
  constraint battery_slot foreign key (slot_id) references slot (id),
  constraint battery_slot_once unique (slot_id),
  constraint battery_machine foreign key (machine_id) references machine (id),
  constraint battery_machine_once unique (machine_id),
  constraint battery_water_owner foreign key (water_owner_id) references person (id),
  constraint battery_in_one_place check (slot_id is null or machine_id is null)
);
