-- Where batteries stand that are put away, how cold it gets there, and who has looked after them.
create table if not exists storage_place (
  id bigint not null auto_increment,
  name varchar(80) not null,
  primary key (id),
  constraint storage_place_once unique (name)
);

create table if not exists storage_month (
  place_id bigint not null,
  month smallint not null,
  mean_c double not null,
  coldest_c double not null,
  primary key (place_id, month),
  constraint storage_month_place foreign key (place_id) references storage_place (id),
  constraint storage_month_possible check (month between 1 and 12)
);

-- A battery put away: planned while it has no beginning, over when it has an end.
create table if not exists storage_stay (
  id bigint not null auto_increment,
  battery_id bigint not null,
  open_battery_id bigint null,
  place_id bigint null,
  supply varchar(12) not null,
  since datetime(6) null,
  ended_at datetime(6) null,
  primary key (id),
  constraint storage_stay_battery foreign key (battery_id) references battery (id),
  constraint storage_stay_place foreign key (place_id) references storage_place (id),
  constraint storage_stay_once unique (open_battery_id)
);

create table if not exists storage_look (
  id bigint not null auto_increment,
  stay_id bigint not null,
  looked_at datetime(6) not null,
  looked_by bigint not null,
  power_on boolean null,
  gravity_tenths int null,
  remark varchar(200) not null,
  primary key (id),
  constraint storage_look_stay foreign key (stay_id) references storage_stay (id),
  constraint storage_look_person foreign key (looked_by) references person (id)
);
