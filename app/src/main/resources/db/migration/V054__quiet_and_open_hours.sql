-- When people are not to be sent to anything where it can be helped, and when the house is open at all.
alter table person_hours add column quiet boolean not null default false;
alter table person_hours add constraint person_hours_of_kind_once unique (person_id, quiet, weekday, from_minute);
alter table person_hours drop constraint person_hours_once;

create table if not exists open_hours (
  id bigint not null auto_increment,
  weekday tinyint not null,
  from_minute smallint not null,
  until_minute smallint not null,
  primary key (id),
  constraint open_hours_once unique (weekday, from_minute),
  constraint open_hours_weekday check (weekday between 1 and 7)
);
