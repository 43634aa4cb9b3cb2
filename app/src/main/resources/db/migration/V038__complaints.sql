-- What drivers complain of, what was looked at to find the cause, and how likely a site has found each cause to be.
create table if not exists complaint (
  id bigint not null auto_increment,
  battery_id bigint not null,
  kind varchar(20) not null,
  said varchar(300) not null,
  said_at datetime(6) not null,
  said_by bigint not null,
  ended_at datetime(6) null,
  ended_by bigint null,
  cause varchar(30) null,
  primary key (id),
  constraint complaint_battery foreign key (battery_id) references battery (id),
  constraint complaint_person foreign key (said_by) references person (id),
  constraint complaint_ender foreign key (ended_by) references person (id)
);

create index complaint_open on complaint (ended_at, battery_id);

create table if not exists complaint_look (
  id bigint not null auto_increment,
  complaint_id bigint not null,
  look varchar(30) not null,
  shown varchar(20) not null,
  seen_at datetime(6) not null,
  seen_by bigint not null,
  on_record boolean not null,
  primary key (id),
  constraint complaint_look_of foreign key (complaint_id) references complaint (id),
  constraint complaint_look_person foreign key (seen_by) references person (id),
  constraint complaint_look_once unique (complaint_id, look)
);

create table if not exists complaint_weight (
  complaint varchar(20) not null,
  cause varchar(30) not null,
  part double not null,
  reason varchar(300) not null,
  said_at datetime(6) not null,
  said_by bigint not null,
  primary key (complaint, cause),
  constraint complaint_weight_person foreign key (said_by) references person (id),
  constraint complaint_weight_part check (part between 0 and 1)
);
