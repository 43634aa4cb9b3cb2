-- What lies in a kit, item by item. Lines are added, never changed: the newest of each name counts.
create table if not exists kit_line (
  id bigint not null auto_increment,
  station_id bigint not null,
  item varchar(80) not null,
  standing varchar(7) not null,
  expires_on date null,
  written_at datetime(6) not null,
  written_by bigint not null,
  primary key (id),
  constraint kit_station foreign key (station_id) references station (id),
  constraint kit_person foreign key (written_by) references person (id),
  constraint kit_standing_known check (standing in ('THERE', 'MISSING', 'STRUCK'))
);

create index kit_by_station on kit_line (station_id, item, id);

insert into kit_line (station_id, item, standing, expires_on, written_at, written_by)
select c.station_id, 'Contents', 'THERE', c.expires_on, c.checked_at, c.person_id
from station_check c
where c.expires_on is not null
  and c.id = (select max(n.id) from station_check n where n.station_id = c.station_id);

alter table station_check drop column expires_on;
