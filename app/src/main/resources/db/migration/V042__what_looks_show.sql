-- What a look shows with a cause, as a site has counted it: one row for each thing the look can show.
create table if not exists complaint_look_weight (
  look varchar(30) not null,
  cause varchar(30) not null,
  shown varchar(20) not null,
  part double not null,
  reason varchar(300) not null,
  said_at datetime(6) not null,
  said_by bigint not null,
  primary key (look, cause, shown),
  constraint complaint_look_weight_person foreign key (said_by) references person (id),
  constraint complaint_look_weight_part check (part between 0 and 1)
);
