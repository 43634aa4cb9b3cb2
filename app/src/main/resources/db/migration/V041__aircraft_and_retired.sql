-- Hours flown, by which the care of an aircraft's battery goes.
create table if not exists flight_hours (
  machine_id bigint not null,
  flown_on date not null,
  hours double not null,
  entered_by bigint not null,
  primary key (machine_id, flown_on),
  constraint flight_hours_machine foreign key (machine_id) references machine (id),
  constraint flight_hours_person foreign key (entered_by) references person (id),
  constraint flight_hours_possible check (hours >= 0 and hours <= 24)
);

-- Gone for good: no list has it any more, its past stays.
alter table battery add column retired_at datetime(6) null;
