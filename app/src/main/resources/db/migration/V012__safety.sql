create table if not exists station (
  id bigint not null auto_increment,
  room_id bigint not null,
  kind varchar(20) not null,
  name varchar(80) not null,
  primary key (id),
  constraint station_room foreign key (room_id) references room (id),
  constraint station_name_once unique (room_id, kind, name),
  constraint station_kind_known check (kind in (
    'EYEWASH_FLUSH', 'EYEWASH_INSPECTION', 'SHOWER', 'SPILL_KIT', 'VENTILATION', 'EXTINGUISHER', 'TOOLS', 'SIGNS'))
);

create table if not exists station_check (
  id bigint not null auto_increment,
  station_id bigint not null,
  checked_at datetime(6) not null,
  person_id bigint not null,
  sound boolean not null,
  expires_on date null,
  remark varchar(400) not null,
  primary key (id),
  constraint check_station foreign key (station_id) references station (id),
  constraint check_person foreign key (person_id) references person (id)
);

create index check_by_station on station_check (station_id, checked_at);

create table if not exists training (
  id bigint not null auto_increment,
  person_id bigint not null,
  kind varchar(14) not null,
  held_on date not null,
  recorded_at datetime(6) not null,
  recorded_by bigint not null,
  primary key (id),
  constraint training_person foreign key (person_id) references person (id),
  constraint training_recorded_by foreign key (recorded_by) references person (id),
  constraint training_once unique (person_id, kind, held_on),
  constraint training_kind_known check (kind in ('BATTERY_CARE', 'CHANGING', 'CELL_REPAIR', 'AIRCRAFT', 'SPILL_LEADER'))
);

create table if not exists defect (
  id bigint not null auto_increment,
  battery_id bigint null,
  machine_id bigint null,
  kind varchar(20) not null,
  remark varchar(400) not null,
  found_at datetime(6) not null,
  found_by bigint not null,
  job_id bigint null,
  done_at datetime(6) null,
  done_by bigint null,
  done_remark varchar(400) null,
  primary key (id),
  constraint defect_battery foreign key (battery_id) references battery (id),
  constraint defect_machine foreign key (machine_id) references machine (id),
  constraint defect_found_by foreign key (found_by) references person (id),
  constraint defect_done_by foreign key (done_by) references person (id),
  constraint defect_job foreign key (job_id) references job (id),
  constraint defect_of_one check ((battery_id is null) <> (machine_id is null)),
  constraint defect_done_whole check ((done_at is null) = (done_by is null))
);

create index defect_by_battery on defect (battery_id, done_at);
create index defect_by_machine on defect (machine_id, kind);

create table if not exists incident (
  id bigint not null auto_increment,
  job_id bigint not null,
  cause varchar(1000) not null,
  corrective varchar(1000) not null,
  prevention varchar(1000) not null,
  kit_refilled_on date null,
  written_at datetime(6) not null,
  written_by bigint not null,
  reviewed_at datetime(6) null,
  reviewed_by bigint null,
  review varchar(1000) null,
  primary key (id),
  constraint incident_job foreign key (job_id) references job (id),
  constraint incident_once unique (job_id),
  constraint incident_written_by foreign key (written_by) references person (id),
  constraint incident_reviewed_by foreign key (reviewed_by) references person (id),
  constraint incident_closed_whole check (reviewed_at is null or (reviewed_by is not null and kit_refilled_on is not null))
);
