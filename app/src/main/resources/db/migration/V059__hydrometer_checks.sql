-- What comparing the hydrometer of a room with a second one has shown: 0 points where it reads right.
create table if not exists hydrometer_check (
  id bigint not null auto_increment,
  room_id bigint not null,
  at datetime(6) not null,
  since datetime(6) not null,
  points smallint not null,
  note varchar(200) not null,
  person_id bigint not null,
  primary key (id),
  constraint hydrometer_check_room foreign key (room_id) references room (id) on delete cascade,
  constraint hydrometer_check_person foreign key (person_id) references person (id)
);
